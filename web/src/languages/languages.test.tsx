import { screen } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { show } from '../shared/testing'
import { ChooseLanguage } from './ChooseLanguage'
import { de } from './de'
import { en, type Words } from './en'
import { others, speak, speakAsChosen, words } from './language'

afterEach(() => {
  document.cookie = 'language=; max-age=0; path=/'
  speak(en)
})

/** What is the same in two languages by right. */
const ALIKE = ['dir']

function said(words: Words, key: keyof Words): string {
  const one = words[key]
  return typeof one === 'string' ? one : (one as (...values: string[]) => string)('«1»', '«2»')
}

describe('Languages', () => {
  it('say everything, each in its own words, about the same', () => {
    for (const key of Object.keys(en) as (keyof Words)[]) {
      const [here, there] = [said(en, key), said(de, key)]
      if (!ALIKE.includes(key)) expect(there, key).not.toBe(here)
      expect(there.match(/«\d»/g)?.sort(), key).toEqual(here.match(/«\d»/g)?.sort())
    }
  })

  it('are spoken as was chosen on this device, and the browser is told', async () => {
    document.cookie = 'language=de; path=/'
    await speakAsChosen()
    expect(words().knock).toBe('Anklopfen')
    expect(document.documentElement.lang).toBe('de')
    expect(others().map((one) => one.name)).toEqual(['English'])
    document.cookie = 'language=__proto__; path=/'
    await speakAsChosen()
    expect(words().knock).toBe('Knock')
  })

  it('are offered each in its own words', () => {
    show(<ChooseLanguage />)
    expect(screen.getByRole('button', { name: 'Deutsch' }).lang).toBe('de')
  })
})
