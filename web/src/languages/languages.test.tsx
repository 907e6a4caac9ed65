import { screen } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { show } from '../shared/testing'
import { ChooseLanguage } from './ChooseLanguage'
import { de as deAccount } from './de/account'
import { de as deDoor } from './de/door'
import { de as deOwn } from './de/own'
import { de as deSeat } from './de/seat'
import { de as deWatch } from './de/watch'
import { en as enAccount } from './en/account'
import { en as enDoor } from './en/door'
import { en as enOwn } from './en/own'
import { en as enSeat } from './en/seat'
import { en as enWatch } from './en/watch'
import { book, others, showPage, speak, speakAsChosen, withWords, words } from './language'
import { ownWords } from './own'
import { seatWords } from './seat'

afterEach(async () => {
  document.cookie = 'language=; max-age=0; path=/'
  showPage(true)
  await speak('en')
})

/** What is the same in two languages by right. */
const ALIKE = ['door.dir', 'own.states.COMING', 'watch.kinds.gap']

/** All that a book says, each by its place in it, with marks where something is put in. */
function said(what: unknown, at: string): [string, string][] {
  if (typeof what === 'string') return [[at, what]]
  if (typeof what === 'function') return [[at, String((what as (...values: string[]) => string)('«1»', '«2»', '«3»'))]]
  return Object.entries(what as object).flatMap(([key, one]) => said(one, `${at}.${key}`))
}

const marks = (text: string) => text.match(/«\d»/g)?.sort()

describe('Languages', () => {
  it('say everything, each in its own words, about the same', () => {
    const english = [
      ...said(enDoor, 'door'),
      ...said(enSeat, 'seat'),
      ...said(enOwn, 'own'),
      ...said(enWatch, 'watch'),
      ...said(enAccount, 'account'),
    ]
    const german = new Map([
      ...said(deDoor, 'door'),
      ...said(deSeat, 'seat'),
      ...said(deOwn, 'own'),
      ...said(deWatch, 'watch'),
      ...said(deAccount, 'account'),
    ])
    expect([...german.keys()].sort()).toEqual(english.map(([at]) => at).sort())
    for (const [at, here] of english) {
      const there = german.get(at) ?? ''
      if (!ALIKE.includes(at)) expect(there, at).not.toBe(here)
      expect(marks(there), at).toEqual(marks(here))
    }
  })

  it('count as one counts in them', () => {
    expect([enSeat.handsBefore(0), enSeat.handsBefore(1), enSeat.handsBefore(3)]).toEqual([
      'you are next',
      'one is before you',
      '3 are before you',
    ])
    expect([deSeat.held(1), deSeat.held(2)]).toEqual([
      'Eine Nachricht von dir wartet auf eine Lehrkraft',
      '2 Nachrichten von dir warten auf eine Lehrkraft',
    ])
    expect([enSeat.inTheRow(2), enSeat.inTheRow(4), deSeat.inTheRow(2)]).toEqual([
      'You are second in the row',
      'You are number 4 in the row',
      'Du bist als 2. dran',
    ])
  })

  it('are spoken as was chosen on this device, and the browser is told', async () => {
    document.cookie = 'language=de; path=/'
    await speakAsChosen()
    expect([words().knock, seatWords().handUp, ownWords().myDay]).toEqual(['Anklopfen', 'Hand heben', 'Mein Tag'])
    expect(document.documentElement.lang).toBe('de')
    expect(others().map((one) => one.name)).toEqual(['English'])
    document.cookie = 'language=__proto__; path=/'
    await speakAsChosen()
    expect(words().knock).toBe('Knock')
  })

  it('are not spoken on pages of the staff, whatever was chosen at a door', async () => {
    await speak('de')
    showPage(false)
    expect([words().close, document.documentElement.lang]).toEqual(['Close', 'en'])
    showPage(true)
    expect([words().close, document.documentElement.lang]).toEqual(['Schließen', 'de'])
  })

  it('are there before a page that speaks them is shown; what cannot be fetched is said in English', async () => {
    await speak('de')
    let come = (said: string) => said
    const late = book('late', { de: () => new Promise<string>((resolve) => (come = (said) => (resolve(said), said))) })
    const lost = book('lost', { de: () => Promise.reject(new Error('no line')) })
    const page = withWords(Promise.resolve('the page'))
    expect(late()).toBe('late')
    come('spät')
    expect(await page).toBe('the page')
    expect([late(), lost()]).toEqual(['spät', 'lost'])
  })

  it('are offered each in its own words', () => {
    show(<ChooseLanguage />)
    expect(screen.getByRole('button', { name: 'Deutsch' }).lang).toBe('de')
  })
})
