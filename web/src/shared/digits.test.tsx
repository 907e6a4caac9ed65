import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { expect, it, vi } from 'vitest'
import { show } from './testing'
import { useDigits, useTypedAhead } from './useDigits'

function Pad({ press }: { press: (place: number) => void }) {
  useDigits(press)
  return (
    <>
      <input aria-label="Words" />
      <input type="checkbox" aria-label="Box" />
    </>
  )
}

it('digits press what stands at their place, but are digits where something is typed', async () => {
  const press = vi.fn()
  const { unmount } = show(<Pad press={press} />)
  await userEvent.keyboard('1')
  await userEvent.click(screen.getByLabelText('Box'))
  await userEvent.keyboard('9')
  await userEvent.keyboard('0')
  await userEvent.keyboard('{Control>}2{/Control}')
  await userEvent.type(screen.getByLabelText('Words'), '34')
  expect(press.mock.calls.flat()).toEqual([0, 8])
  unmount()
  await userEvent.keyboard('5')
  expect(press).toHaveBeenCalledTimes(2)
})

function Late({ coming, there, press }: { coming: string | null; there: boolean; press: (place: number) => void }) {
  useTypedAhead(coming)
  return there ? <Pad press={press} /> : null
}

it('a digit typed while what it presses is on its way is pressed once it is there, and no other', async () => {
  const press = vi.fn()
  const { rerender } = render(<Late coming={null} there={false} press={press} />)
  await userEvent.keyboard('9')
  rerender(<Late coming="slates" there={false} press={press} />)
  await userEvent.keyboard('4')
  rerender(<Late coming="slates" there press={press} />)
  expect(press.mock.calls.flat()).toEqual([3])
  await userEvent.keyboard('2')
  rerender(<Late coming="clock" there={false} press={press} />)
  rerender(<Late coming="clock" there press={press} />)
  expect(press.mock.calls.flat()).toEqual([3, 1])
})
