import { cleanup, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import type { Heard, Seat, SeatRight } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import DoorstepScreen from './DoorstepScreen'
import type { Act } from '../../lesson/acts'
import { aDesk } from '../../lesson/testing'
import { PrivateWordToMe } from '../../lesson/chat/PrivateWord'
import { focusMarks } from '../../lesson/signals/Focus'
import { FocusAsked } from '../../lesson/signals/FocusAsked'
import { HandButton } from '../../lesson/signals/HandButton'
import { Helping } from '../../lesson/rights/Helping'
import { Captions, HandedOut } from '../../lesson/material/SeatMaterial'
import { Signals } from '../../lesson/signals/SeatSigns'
import { Now } from '../../lesson/supervision/Now'
import { Rights } from '../../lesson/rights/SeatRights'
import { AtSeat, Banner } from '../../lesson/rights/SeatCompany'
import { SeatWords } from '../../lesson/chat/SeatWords'
import { KnockAgain, LeaveButton } from './Leaving'
import { OnTheTelephone } from './OnTheTelephone'
import { OutsideAccount, RingIn } from './WaysIn'

function right(rule: string, title: string, value: string, more: Partial<SeatRight> = {}): SeatRight {
  return { rule, title, value, bound: false, loan: 'NONE', line: 'as you like', ...more }
}

/** What a test wants to be otherwise than at a usual seat, whichever part it belongs to. */
interface Otherwise {
  rights?: SeatRight[]
  help?: NonNullable<Seat['rights']['help']>
  stance?: string
  showing?: string
  focus?: string
  handouts?: Seat['material']['handouts']
  captions?: Seat['material']['captions']
  listens?: boolean
  quiet?: boolean
  stopped?: boolean
  on?: Partial<NonNullable<Seat['mine']['rights']>>
  signals?: Partial<NonNullable<Seat['mine']['signals']>>
  chat?: Partial<NonNullable<Seat['mine']['chat']>>
  words?: Seat['words']
  company?: Seat['company']
  byTelephone?: boolean
}

function seat(more: Otherwise = {}): Seat {
  const usual = [right('voice.speak', 'Speak', 'on-request'), right('chat.class', 'Write to the whole class', 'open')]
  return {
    number: 4,
    now: '2026-09-14T10:17:00Z',
    title: 'Tidal Navigation 8',
    starts: '2026-09-14T10:05:00Z',
    ends: '2026-09-14T10:55:00Z',
    adults: ['Orla Venn'],
    observers: [],
    rights: {
      rights: more.rights ?? usual,
      ...(more.help ? { help: more.help } : {}),
      ...(more.stance ? { stance: more.stance } : {}),
      ...(more.showing ? { showing: more.showing } : {}),
    },
    company: more.company ?? { people: [], passedOn: [] },
    signals: more.focus ? { focus: more.focus } : {},
    board: { place: 'together', shown: 0, pages: [{ id: 0 }] },
    clocks: {},
    slates: { shown: [] },
    notices: { up: [] },
    merits: { all: [] },
    strokes: [],
    material: { handouts: more.handouts ?? [], captions: more.captions ?? [], serviceListens: more.listens ?? false },
    supervision: { quiet: more.quiet ?? false, stopped: more.stopped ?? false },
    conduct: { leadOnly: false },
    recording: { shown: 'NOT', announced: true, watch: [], ask: [], keptDays: 60 },
    mine: {
      door: { status: 'IN', why: [], name: 'Ines Carrow', allowedBack: false, byTelephone: more.byTelephone ?? false },
      rights: {
        microphone: false,
        camera: false,
        screen: false,
        wholeScreen: false,
        background: false,
        passingOn: false,
        ...more.on,
      },
      signals: { handsBefore: 0, ...more.signals },
      chat: { classmates: [], held: 0, mayKeep: false, ...more.chat },
      merits: { reasons: [] },
    },
    words: more.words ?? [],
  }
}

describe('who is here too', () => {
  const people = [
    { name: 'Jory Pell', camera: true, background: false },
    { name: 'Kester Vane', camera: false, background: false },
  ]

  it('is said by number, then by name, with the cameras that may be seen, and not at all where nothing may', async () => {
    const me = { name: 'Ines Carrow', camera: true, background: false }
    const { unmount } = show(<AtSeat seat={seat({ company: { people: [me, ...people], passedOn: [] } })} />)
    expect(screen.getByText('2 here with you')).toBeTruthy()
    expect(screen.getAllByRole('figure')).toHaveLength(1)
    await userEvent.click(screen.getByRole('button', { name: 'who?' }))
    expect(screen.getByText('Jory Pell, Kester Vane')).toBeTruthy()
    unmount()
    // Where there are no names, one's own camera is not counted among the others either.
    const nameless = [{ ...me, name: '' }]
    show(<AtSeat seat={seat({ on: { camera: true }, company: { people: nameless, passedOn: [] } })} />)
    expect(screen.queryByLabelText('Who is here')).toBeNull()
    cleanup()
    show(<AtSeat seat={seat()} />)
    expect(screen.queryByLabelText('Who is here')).toBeNull()
  })

  it('is told when the lesson is passed on to people outside', () => {
    show(<Banner seat={seat({ company: { people: [], passedOn: ['Orla Venn'] } })} />)
    expect(screen.getByRole('status').textContent).toContain('passed on to people outside the room, by Orla Venn')
  })
})

describe('leaving', () => {
  it('asks once, and the way back is one press for who is signed in', async () => {
    const leave = vi.fn()
    const { unmount } = show(<LeaveButton onLeave={leave} />)
    await userEvent.click(screen.getByRole('button', { name: 'Leave the lesson' }))
    await userEvent.click(screen.getByRole('button', { name: 'Stay' }))
    expect(leave).not.toHaveBeenCalled()
    await userEvent.click(screen.getByRole('button', { name: 'Leave the lesson' }))
    await userEvent.click(screen.getByRole('button', { name: 'Leave' }))
    expect(leave).toHaveBeenCalledOnce()
    unmount()

    const asked = serve({ 'POST /api/seats/v1/knock-again': { visit: 'v2' } })
    const left = show(<KnockAgain visit="v1" signedIn={false} />)
    expect(screen.queryByRole('button')).toBeNull()
    left.unmount()
    show(<KnockAgain visit="v1" signedIn />)
    await userEvent.click(screen.getByRole('button', { name: 'Knock again' }))
    await waitFor(() => expect(asked).toHaveLength(1))
  })
})

describe('other ways in', () => {
  it('signs in elsewhere before knocking, and rings with a number alone', async () => {
    const asked = serve({
      'POST /api/outside/accounts': { ticket: 'T1' },
      'POST /api/doorsteps/token/ring': { visit: 'v9' },
    })
    const signedIn = vi.fn()
    const { unmount } = show(<OutsideAccount onSignedIn={signedIn} />)
    await userEvent.type(screen.getByLabelText(/Address of that account/), 'jory@north-holm.example')
    await userEvent.click(screen.getByRole('button', { name: 'Sign in there' }))
    await waitFor(() => expect(signedIn).toHaveBeenCalledWith('T1', 'jory@north-holm.example'))
    unmount()

    show(<RingIn doorstep="/api/doorsteps/token" />)
    await userEvent.type(screen.getByLabelText(/Your number/), '07700 900123')
    await userEvent.click(screen.getByRole('button', { name: /ring/ }))
    await waitFor(() => expect(asked.at(-1)?.body).toEqual({ number: '07700 900123', agreed: true }))
  })

  it('on the telephone there is a voice, a hand and a way out, and nothing to see', async () => {
    const act = vi.fn()
    show(<OnTheTelephone seat={seat({ byTelephone: true })} act={act} />)
    for (const name of ['Speak', 'Raise my hand', 'Hang up']) await userEvent.click(screen.getByRole('button', { name }))
    expect(act.mock.calls.map(([one]) => one.do)).toEqual(['on', 'raise-hand', 'leave'])
    expect(screen.queryByText(/board/i)).toBeNull()
  })
})

describe('the hand', () => {
  it('goes up and down by button and by key, and tells how many are before', async () => {
    const raise = vi.fn()
    const lower = vi.fn()
    const { unmount } = show(<HandButton seat={seat()} onRaise={raise} onLower={lower} />)
    await userEvent.click(screen.getByRole('button', { name: /Raise my hand/ }))
    await userEvent.keyboard('h')
    expect(raise).toHaveBeenCalledTimes(2)
    unmount()

    show(
      <HandButton
        seat={seat({ signals: { handSince: '2026-09-14T10:16:00Z', handsBefore: 1 } })}
        onRaise={raise}
        onLower={lower}
      />,
    )
    expect(screen.getByRole('button', { name: /one is before you/ }).getAttribute('aria-pressed')).toBe('true')
    await userEvent.keyboard('h')
    expect(lower).toHaveBeenCalledTimes(1)
  })
})

describe('what is happening', () => {
  it('says kindly that no adult is there, before anything else', () => {
    show(<Now seat={seat({ quiet: true, stance: 'Discussion' })} />)

    expect(screen.getByText(/The room is quiet until an adult is back/)).toBeTruthy()
    expect(screen.queryByText(/Discussion/)).toBeNull()
  })

  it('tells the stance, who is in focus and that a message waits', () => {
    show(<Now seat={seat({ stance: 'Explaining', focus: 'Ines Carrow', chat: { held: 1 } })} />)

    expect(
      screen.getByText('Now: Explaining · You are in focus for everyone · A message of yours waits for a teacher'),
    ).toBeTruthy()
  })

  it('gives one signal at a time, and takes it back by the same button', async () => {
    const act = vi.fn()
    show(<Signals seat={seat({ signals: { sign: 'SLOWER' } })} act={act} />)

    await userEvent.click(screen.getByRole('button', { name: 'I cannot hear' }))
    await userEvent.click(screen.getByRole('button', { name: 'Slower' }))

    expect(act.mock.calls).toEqual([[{ do: 'sign', sign: 'CANNOT_HEAR' }], [{ do: 'sign', sign: null }]])
  })

  it('shows what was handed out to who comes late, and opens only real addresses', () => {
    const hung = (number: number, title: string, body: string) => ({
      number,
      at: '2026-09-14T10:06:00Z',
      by: 'Orla Venn',
      title,
      body,
    })
    show(
      <HandedOut
        seat={seat({ handouts: [hung(1, 'Chart', 'https://charts.halvorn.example/7'), hung(2, 'Note', 'javascript:alert(1)')] })}
      />,
    )

    expect(screen.getAllByRole('link').map((link) => link.getAttribute('href'))).toEqual(['https://charts.halvorn.example/7'])
  })

  it('shows captions only to who switches them on', async () => {
    show(<Captions seat={seat({ captions: [{ number: 1, at: '', by: 'Orla Venn', text: 'The tide turns.', heard: false }] })} />)

    expect(screen.queryByText('The tide turns.')).toBeNull()
    await userEvent.click(screen.getByRole('button', { name: 'Captions on' }))

    expect(screen.getByText('The tide turns.')).toBeTruthy()
  })

  it('says to everybody that a service listens, and whom it heard', async () => {
    const heard = { number: 1, at: '', by: 'Orla Venn', text: 'The tide turns.', heard: true }
    show(<Captions seat={seat({ captions: [heard], listens: true })} />)
    screen.getByText(/A service writes down what is said/)
    await userEvent.click(screen.getByRole('button', { name: 'Captions on' }))
    screen.getByText('Orla Venn: The tide turns.')
  })
})

describe('what I may do', () => {
  it('says each right in words beside its sign, and offers a switch only where it is open', () => {
    show(<Rights seat={seat()} act={() => {}} onWhy={() => {}} />)

    expect(screen.getByText(': on request')).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'Switch my microphone on' })).toBeNull()
  })

  it('shows a pass with its clock and lets me use it', async () => {
    const act = vi.fn()
    const lent = right('voice.speak', 'Speak', 'open', { loan: 'PASS', until: '2099-01-01T00:00:00Z', line: 'until 10:19' })
    show(<Rights seat={seat({ rights: [lent] })} act={act} onWhy={() => {}} />)

    expect(screen.getByText(': open, by a pass')).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Switch my microphone on' }))

    expect(act).toHaveBeenCalledWith({ do: 'on', what: 'MICROPHONE' })
  })

  it('switches what few schools let pupils do: showing all of a screen, passing the lesson on', async () => {
    const act = vi.fn()
    const rights = ['share.screen', 'share.whole-screen', 'share.outside'].map((rule) => right(rule, rule, 'open'))
    const on = { screen: true, wholeScreen: true }
    show(<Rights seat={seat({ rights, on })} act={act} onWhy={() => {}} />)

    const names = ['Show my screen', 'Stop showing', 'Pass the lesson on']
    for (const name of names) await userEvent.click(screen.getByRole('button', { name }))

    expect(act.mock.calls.map(([one]) => one)).toEqual([
      { do: 'on', what: 'SCREEN' },
      { do: 'off', what: 'WHOLE_SCREEN' },
      { do: 'on', what: 'PASSING_ON' },
    ])
  })

  it('always lets me switch off what is on, also when the right has gone', () => {
    show(<Rights seat={seat({ on: { microphone: true } })} act={() => {}} onWhy={() => {}} />)

    expect(screen.getByRole('button', { name: 'Mute me' })).toBeTruthy()
  })
})

describe('being put in focus', () => {
  it('is asked at the seat, and answered by one press; nothing stands there unasked', async () => {
    const act = vi.fn<(one: Act) => void>()
    const { unmount } = show(<FocusAsked seat={seat()} act={act} />)
    expect(screen.queryByRole('group')).toBeNull()
    unmount()
    show(<FocusAsked seat={seat({ signals: { asks: 'Orla Venn' } })} act={act} />)
    expect(screen.getByRole('status').textContent).toMatch(/^Orla Venn asks: may everyone see you large/)
    await userEvent.click(screen.getByRole('button', { name: 'Rather not' }))
    await userEvent.click(screen.getByRole('button', { name: 'Yes, show me' }))
    expect(act.mock.calls.map(([one]) => one)).toEqual([
      { do: 'answer-focus', yes: false },
      { do: 'answer-focus', yes: true },
    ])
  })

  it('shows in the row of who was asked, and how it was answered', () => {
    const asked = (declined: boolean) => ({
      ...aDesk(),
      signals: { ...aDesk().signals, asked: { person: 'jory-pell', declined } },
    })
    expect(focusMarks(asked(false), 'jory-pell')[0]?.short).toBe('asked')
    expect(focusMarks(asked(true), 'jory-pell')[0]?.words).toBe('would rather not be shown to everyone')
    expect(focusMarks(asked(true), 'ines-carrow')).toEqual([])
  })
})

describe('a private word', () => {
  it('arrives where it is seen at once, until it was read; an old one, and what goes to all, do not', async () => {
    const word = (number: number, at: string, more: Partial<Heard> = {}): Heard => ({
      number,
      at: `2026-09-14T${at}Z`,
      mine: false,
      from: 'Orla Venn',
      to: 'ONE',
      toName: 'Ines Carrow',
      text: `word ${number}`,
      ...more,
    })
    const now = Date.parse('2026-09-14T10:20:00Z')
    const told = (words: Heard[]) => show(<PrivateWordToMe seat={seat({ words })} visit="v1" now={now} />)
    const old = told([word(2, '10:05:00'), word(3, '10:19:00', { to: 'CLASS' }), word(4, '10:19:30', { mine: true })])
    expect(screen.queryByRole('group')).toBeNull()
    old.unmount()
    told([word(5, '10:18:00'), word(6, '10:19:00'), word(7, '10:19:40', { to: 'CLASS' })])
    expect(screen.getByRole('status').textContent).toBe('Orla Venn to you alone: word 5Orla Venn to you alone: word 6')
    await userEvent.click(screen.getByRole('button', { name: 'I have read it' }))
    expect(screen.queryByRole('group')).toBeNull()
  })
})

describe('writing', () => {
  const refusal = {
    problem: {
      type: '/problems/rule-closed',
      title: 'Not sent',
      status: 409,
      detail: 'Your teacher has closed that for now.',
      whatToDo: 'Nothing is lost. You can always write to your teachers.',
      wrong: [],
    },
  }

  it('keeps a refused text in the box and says why at once', async () => {
    serve({ 'POST /api/seats/v/words': refusal })
    show(<SeatWords seat={seat()} visit="v" />)

    await userEvent.type(screen.getByRole('textbox', { name: 'Write' }), 'hello all{Enter}')

    expect((await screen.findByRole('alert')).textContent).toContain('Not sent. Your teacher has closed that for now.')
    expect(screen.getByRole<HTMLTextAreaElement>('textbox', { name: 'Write' }).value).toBe('hello all')
  })

  it('empties the box when the server has the text, and sends it where it was meant to go', async () => {
    const asked = serve({ 'POST /api/seats/v/words': seat() })
    show(<SeatWords seat={seat({ chat: { mayKeep: true } })} visit="w" />)
    expect(screen.getByRole('link', { name: 'Keep a copy' }).getAttribute('href')).toBe('/api/seats/w/words.txt')
    cleanup()
    show(<SeatWords seat={seat({ chat: { classmates: [{ id: 'jory', name: 'Jory Pell', readAlong: false }] } })} visit="v" />)

    await userEvent.selectOptions(screen.getByLabelText('To whom'), 'to Jory Pell alone')
    await userEvent.type(screen.getByRole('textbox', { name: 'Write' }), 'psst{Enter}')

    await waitFor(() => expect(screen.getByRole<HTMLTextAreaElement>('textbox', { name: 'Write' }).value).toBe(''))
    expect(asked[0]?.body).toEqual({ to: 'ONE', person: 'jory', text: 'psst' })
  })

  it('sends a file to whom the text would go, and shows what was sent as something to save', async () => {
    const asked = serve({ 'POST /api/seats/v/files': seat() })
    const sent = { number: 4, at: '2026-09-14T10:10:00Z', mine: false, from: 'Orla Venn', to: 'CLASS' as const, toName: '' }
    show(
      <SeatWords
        seat={seat({ words: [{ ...sent, text: 'tide.pdf', file: { kind: 'documents', bytes: 1_250_000 } }] })}
        visit="v"
      />,
    )

    await userEvent.selectOptions(screen.getByLabelText('To whom'), 'to your teachers')
    await userEvent.upload(screen.getByLabelText('File to send'), new File(['x'], 'curve.txt'))

    await waitFor(() => expect(asked).toHaveLength(1))
    const form = asked[0]?.body as FormData
    expect([form.get('to'), (form.get('file') as File).name, form.has('person')]).toEqual(['ADULTS', 'curve.txt', false])
    expect(screen.getByRole('link', { name: 'tide.pdf' }).getAttribute('href')).toBe('/api/seats/v/files/4')
    expect(screen.getByText('(document, 1.3 MB)')).toBeTruthy()
  })

  it('says no connection when there is none, and keeps the text', async () => {
    serve({})
    show(<SeatWords seat={seat()} visit="v" />)

    await userEvent.type(screen.getByRole('textbox', { name: 'Write' }), 'help{Enter}')

    expect((await screen.findByRole('alert')).textContent).toContain('Juricast cannot be reached')
    expect(screen.getByRole<HTMLTextAreaElement>('textbox', { name: 'Write' }).value).toBe('help')
  })

  it('shows markup as the letters it is', () => {
    const text = '<img src=x onerror=alert(1)>'
    show(
      <SeatWords
        seat={seat({
          words: [{ number: 1, at: '2026-09-14T10:10:00Z', mine: false, from: 'Orla Venn', to: 'CLASS', toName: '', text }],
        })}
        visit="v"
      />,
    )

    expect(screen.getByRole('log').textContent).toContain(text)
    expect(document.querySelector('img')).toBeNull()
  })
})

describe('the doorstep', () => {
  const step = { title: 'Tidal Navigation 8', adults: ['Orla Venn'], needsWord: true, houseRules: ['Write kindly.'] }
  const near = { ...step, lesson: 'l', starts: '2026-09-14T10:20:00Z', ends: '2026-09-14T11:10:00Z' }
  const door = (answers: Record<string, unknown>) => {
    const asked = serve({ 'GET /api/standing': standingOf('PUPIL'), ...answers })
    show(<DoorstepScreen />, '/join/t', '/join/:token')
    return asked
  }

  it('tells when the next lesson is, where there is none now', async () => {
    door({ 'GET /api/doorsteps/t': { ...step, next: '2026-09-17T10:20:00Z' } })

    expect(await screen.findByText(/The next one is on Thursday,? 17 September at 10:20/)).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'Knock' })).toBeNull()
  })

  it('asks nobody for a name or a word who is signed in and on the list', async () => {
    const asked = door({
      'GET /api/doorsteps/t': { ...near, needsWord: false, name: 'Ines Carrow' },
      'POST /api/doorsteps/t/knock': { visit: 'v' },
    })

    expect(await screen.findByText('Ines Carrow')).toBeTruthy()
    expect(screen.queryByLabelText('Join word')).toBeNull()
    expect(screen.getByText('Write kindly.')).toBeTruthy()
    await userEvent.click(screen.getByRole('checkbox', { name: /I have read them/ }))
    await userEvent.click(screen.getByRole('button', { name: 'Knock' }))

    expect(await screen.findByText('another page')).toBeTruthy()
    expect(asked.at(-1)?.body).toMatchObject({ name: 'Ines Carrow', agreed: true })
  })

  it('keeps name and word when the word is wrong', async () => {
    door({
      'GET /api/doorsteps/t': near,
      'POST /api/doorsteps/t/knock': {
        problem: {
          type: '/problems/wrong-word',
          title: 'That is not the join word of this class',
          status: 409,
          detail: '',
          whatToDo: '',
          wrong: [],
        },
      },
    })

    await userEvent.type(await screen.findByLabelText('Your first and last name'), 'Ines Carrow')
    await userEvent.type(screen.getByLabelText('Join word'), 'wrong')
    await userEvent.click(screen.getByRole('button', { name: 'Knock' }))

    expect((await screen.findByRole('alert')).textContent).toContain('That is not the join word of this class')
    expect(screen.getByLabelText<HTMLInputElement>('Your first and last name').value).toBe('Ines Carrow')
  })

  it('says what to do with a link that leads nowhere', async () => {
    door({
      'GET /api/doorsteps/t': {
        problem: {
          type: '/problems/unknown-link',
          title: 'This link leads nowhere',
          status: 409,
          detail: '',
          whatToDo: 'Ask your teacher for it.',
          wrong: [],
        },
      },
    })

    expect((await screen.findByRole('alert')).textContent).toContain('Ask your teacher for it.')
  })
})

describe('helping', () => {
  it('is offered to nobody who was not trusted with it', () => {
    show(<Helping seat={seat()} act={vi.fn()} />)
    expect(screen.queryByRole('region', { name: 'You help' })).toBeNull()
  })

  it('lets in, calls on and pauses, each only where it was lent', async () => {
    const act = vi.fn()
    const press = userEvent.setup()
    const until = '2026-09-14T10:27:00Z'
    const help = {
      rights: [
        right('help.door', 'Help at the door', 'open', { loan: 'PASS', until }),
        right('help.hands', 'Call on raised hands', 'open'),
      ],
      door: [{ visit: 'v7', name: 'Bo Lindqvar' }],
      hands: [{ id: 'wen', name: 'Wen Ostrander' }],
      chatPaused: false,
    }
    show(<Helping seat={seat({ help })} act={act} />)

    expect(screen.getByText('help at the door until 10:27, call on raised hands.')).toBeTruthy()
    expect(screen.queryByRole('button', { name: /class chat/ })).toBeNull()
    await press.click(screen.getByRole('button', { name: 'Let in Bo Lindqvar' }))
    await press.click(screen.getByRole('button', { name: 'Let speak Wen Ostrander' }))
    await press.click(screen.getByRole('button', { name: 'Lower the hand of Wen Ostrander' }))
    expect(act.mock.calls.map(([order]) => order as Act)).toEqual([
      { do: 'let-in', arrival: 'v7' },
      { do: 'call-on', person: 'wen' },
      { do: 'lower', person: 'wen' },
    ])
  })
})
