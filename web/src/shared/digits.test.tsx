import { screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { expect, it, vi } from 'vitest'
import { show } from './testing'
import { useDigits } from './useDigits'

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
