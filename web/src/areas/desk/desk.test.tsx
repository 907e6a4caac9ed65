import { render, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Desk, Waiting } from '../../shared/api/types'
import { serve, show } from '../../shared/testing'
import { Look } from '../../shared/theme/Look'
import type { Order } from '../../lesson/orders'
import { useDeskKeys, type Shown } from './hooks/useDeskKeys'
import { DeskHead } from './parts/DeskHead'
import { NeedsYou } from './parts/NeedsYou'
import { Adults } from '../../lesson/rights/Lending'
import { OpeningNote } from '../../lesson/door/OpeningNote'
import { OverNote } from '../../lesson/ending/OverNote'
import { Material } from '../../lesson/material/Material'
import { RoomBanner } from '../../lesson/supervision/RoomBanner'
import { RunningOrderPlan } from '../../lesson/rights/RunningOrderPlan'
import { likely } from '../../lesson/rights/RightCells'
import { WriteTo } from '../../lesson/chat/writing'
import { setServersTime } from '../../shared/time'
import { Score } from './parts/Score'
import { StanceButton } from '../../lesson/rights/StanceButton'
import { aDesk as desk, aNeed as need, aPupil as pupil, at, NOW } from '../../lesson/testing'

function waiting(name: string, since: string, more: Partial<Waiting> = {}): Waiting {
  return {
    visit: `visit of ${name}`,
    name,
    since: at(since),
    connected: true,
    listed: false,
    reasons: [{ code: 'NOT_ON_LIST', text: 'No such name on the class list.', matters: true }],
    ...more,
  }
}

// What the desk of a test says its time is.
beforeEach(() => setServersTime(at('10:17:00')))

describe('the cards', () => {
  const showCards = (shown: Desk, onWhy: (rule: string) => void = () => {}) => {
    const give = vi.fn<(order: Order) => void>()
    show(<NeedsYou desk={shown} give={give} onWhy={onWhy} />)
    return give
  }

  it('open the chain of the rule behind a reason at the door', async () => {
    const onWhy = vi.fn<(rule: string) => void>()
    showCards(
      desk({
        waiting: [
          waiting('Zeb', '10:16:00', {
            reasons: [
              { code: 'REMOVED_EARLIER', text: 'Zeb was removed.', rule: 'entry.re-entry', matters: true },
              { code: 'DOOR_KNOCK', text: 'Everyone knocks.', rule: 'entry.door', matters: false },
            ],
          }),
        ],
        needs: [need('UNSURE', 'Somebody waits', { visits: ['visit of Zeb'] })],
      }),
      onWhy,
    )

    await userEvent.click(screen.getByRole('button', { name: 'Why: Zeb was removed.' }))

    expect(onWhy).toHaveBeenCalledWith('entry.re-entry')
    expect(screen.queryByText(/Everyone knocks/)).toBeNull()
  })

  it('bring what is held to the adult, who lets it through or keeps it back', async () => {
    const held = {
      number: 7,
      at: at('10:16:00'),
      person: 'ines',
      name: 'Ines Carrow',
      to: 'the class',
      text: 'www.tides',
      because: 'holds a link',
    }
    const give = showCards(desk({ held: [held], needs: [need('HELD', 'Ines wrote', { number: 7 })] }))

    expect(screen.getByText(/It holds a link/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Let through' }))
    await userEvent.click(screen.getByRole('button', { name: 'Keep back' }))

    expect(give.mock.calls.map(([order]) => order)).toEqual([
      { do: 'let-through', number: 7 },
      { do: 'keep-back', number: 7 },
    ])
  })

  it('show a held file to the adult before anyone else', () => {
    const held = { number: 9, at: at('10:16:00'), person: 'ines', name: 'Ines Carrow', to: 'the class', text: 'tide.png' }
    showCards(
      desk({
        held: [{ ...held, because: 'is a file', file: { kind: 'pictures', bytes: 900 } }],
        needs: [need('HELD', 'Ines wrote', { number: 9 })],
      }),
    )

    expect(screen.getByText('Ines Carrow sends a file to the class')).toBeTruthy()
    expect(screen.getByRole('link', { name: 'tide.png' }).getAttribute('href')).toMatch(/\/files\/9$/)
  })

  it('sound at a knock only if the adult chose it, and not for those who waited before', async () => {
    localStorage.clear()
    const tones = vi.fn()
    class Tone {
      frequency = { value: 0 }
      connect() {}
      start = tones
      stop() {}
    }
    class Sound {
      currentTime = 0
      destination = {}
      createGain = () => ({
        connect() {},
        gain: { setValueAtTime() {}, exponentialRampToValueAtTime() {} },
      })
      createOscillator = () => new Tone()
    }
    vi.stubGlobal('AudioContext', Sound)
    const card = (shown: Desk) => <NeedsYou desk={shown} give={() => {}} onWhy={() => {}} />
    const one = desk({ waiting: [waiting('Bo Lindqvar', '10:16:00')] })
    const two = desk({ waiting: [waiting('Bo Lindqvar', '10:16:00'), waiting('Sefa Mauri', '10:16:30')] })

    const { rerender, unmount } = render(card(one), { wrapper: Look })
    rerender(card(two))
    expect(tones).not.toHaveBeenCalled()

    await userEvent.click(screen.getByRole('button', { name: 'no sound at a knock' }))
    expect(tones).toHaveBeenCalledTimes(2)
    rerender(card(one))
    rerender(card(two))
    expect(tones).toHaveBeenCalledTimes(4)
    unmount()

    render(card(two), { wrapper: Look })
    expect(tones).toHaveBeenCalledTimes(4)
    expect(screen.getByRole('button', { name: 'a sound at a knock' }).getAttribute('aria-pressed')).toBe('true')
  })

  it('propose the planned stance, and count signals without making work of them', async () => {
    const planned = need('STANCE', 'Discussion is planned now', { stance: 'discussion' })
    const give = showCards(desk({ needs: [planned], signs: [{ sign: 'SLOWER', count: 2, names: ['Ines Carrow', 'Jory Pell'] }] }))

    expect(screen.getByRole('status', { name: 'Signals' }).textContent).toContain('2 slower')
    await userEvent.click(screen.getByRole('button', { name: /Switch to Discussion/ }))
    await userEvent.click(screen.getByRole('button', { name: 'clear signals' }))

    expect(give.mock.calls.map(([order]) => order)).toEqual([
      { do: 'stance', stance: 'discussion', keepLive: false },
      { do: 'clear-signs' },
    ])
  })

  it('put every hand down where several are up', async () => {
    const hand = (person: string) => need('HAND', `${person} raises a hand`, { person })
    const give = showCards(desk({ needs: [hand('wen-ostrander'), hand('ines-carrow')] }))

    await userEvent.click(screen.getAllByRole('button', { name: 'All 2 down' })[0]!)
    expect(give).toHaveBeenCalledWith({ do: 'hands-down' })
  })

  it('say that all is well when nothing needs anybody', () => {
    showCards(desk())

    expect(screen.getByText('Nobody waits, no hand is up. Teach on.')).toBeTruthy()
  })

  it('let everyone on the list in with one press, or one by one', async () => {
    const give = showCards(
      desk({
        waiting: ['Bo Lindqvar', 'Sefa Mauri'].map((name) =>
          waiting(name, '10:16:00', { listed: true, person: name, personName: name }),
        ),
        needs: [need('LISTED', '2 wait', { visits: ['visit of Bo Lindqvar', 'visit of Sefa Mauri'] })],
      }),
    )

    await userEvent.click(screen.getByRole('button', { name: /Let all 2 in/ }))
    await userEvent.click(screen.getByRole('button', { name: 'One by one' }))
    await userEvent.click(screen.getAllByRole('button', { name: 'Let in' })[1]!)

    expect(give.mock.calls.map(([order]) => order)).toEqual([
      { do: 'admit-all-listed' },
      { do: 'admit', visit: 'visit of Sefa Mauri', as: 'Sefa Mauri' },
    ])
  })

  it('let somebody unknown in only as somebody of the list who is not here', async () => {
    const give = showCards(
      desk({
        pupils: [pupil('Ines Carrow'), pupil('Kester Tabb', { whereabouts: 'MISSING' })],
        waiting: [waiting('kestrel-tab-4', '10:15:00')],
        needs: [need('UNSURE', 'Somebody waits', { visits: ['visit of kestrel-tab-4'] })],
      }),
    )

    await userEvent.click(screen.getByRole('button', { name: 'Let in as…' }))
    const choices = within(screen.getByLabelText('Who is kestrel-tab-4?')).getAllByRole('option')
    expect(choices.map((choice) => choice.textContent)).toEqual(['Who of those not here?', 'Kester Tabb'])
    await userEvent.selectOptions(screen.getByLabelText('Who is kestrel-tab-4?'), 'Kester Tabb')

    expect(give).toHaveBeenCalledWith({ do: 'admit', visit: 'visit of kestrel-tab-4', as: 'kester-tabb' })
  })

  it('call on a raised hand for two minutes and say how often the pupil has spoken', async () => {
    const give = showCards(
      desk({
        pupils: [pupil('Wen Ostrander', { handSince: at('10:16:30'), timesSpoken: 2 })],
        needs: [need('HAND', 'Wen Ostrander raises a hand', { person: 'wen-ostrander' })],
      }),
    )

    expect(screen.getByText('Has spoken 2 times.')).toBeTruthy()
    expect(await screen.findByText('0:30')).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: /Let speak 2 min/ }))

    expect(give).toHaveBeenCalledWith({ do: 'pass', person: 'wen-ostrander', rule: 'voice.speak', minutes: 2 })
  })

  it('show whom the door has refused, with the reason', () => {
    showCards(
      desk({
        refused: [
          {
            visit: 'x',
            name: 'Zeb Corran',
            at: at('10:16:00'),
            reasons: [{ code: 'REMOVED_FOR_GOOD', text: 'Zeb Corran was removed.', rule: 'entry.re-entry', matters: true }],
          },
        ],
      }),
    )

    expect(screen.getByText(/turned away. Zeb Corran was removed./)).toBeTruthy()
  })
})

describe('the head', () => {
  const showHead = (shown: Desk) => {
    const give = vi.fn<(order: Order) => void>()
    show(<DeskHead desk={shown} now={NOW} connected={false} give={give} busy={false} onWhy={() => {}} />)
    return give
  }

  it('dismisses only after one question, which says who still waits', async () => {
    const give = showHead(desk({ waiting: [waiting('Bo Lindqvar', '10:16:00')] }))

    await userEvent.click(screen.getByRole('button', { name: 'Dismiss class' }))
    expect(give).not.toHaveBeenCalled()
    expect(await screen.findByText(/1 who wait at the door are told/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Dismiss now' }))

    expect(give).toHaveBeenCalledWith({ do: 'dismiss' })
  })

  it('says honestly when there is no connection, and how much time is left', () => {
    showHead(desk())

    expect(screen.getByText('No connection. Trying again…')).toBeTruthy()
    expect(screen.getByText(/38 min left/)).toBeTruthy()
  })

  it('offers only coming in to an adult who is not in the room', () => {
    showHead(desk({ mine: { in: false } }))

    expect(screen.getByRole('button', { name: 'Come in' })).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'Dismiss class' })).toBeNull()
  })
})

describe('a stance', () => {
  it('shows what it would change, and asks what becomes of live orders, before it is switched', async () => {
    serve({
      'GET /api/lessons/tidal/stance/discussion/changes': [
        { rule: 'voice.speak', title: 'Speak', before: 'on-request', after: 'open', heldByLive: false },
        { rule: 'chat.class', title: 'Write', before: 'closed', after: 'open', heldByLive: true },
      ],
    })
    const give = vi.fn<(order: Order) => void>()
    show(<StanceButton desk={desk()} lesson="tidal" give={give} />)

    await userEvent.click(screen.getByRole('button', { name: 'Stance: as planned' }))
    await userEvent.click(await screen.findByRole('menuitem', { name: 'Discussion' }))
    expect(await screen.findByText(/you ordered closed/)).toBeTruthy()
    expect(give).not.toHaveBeenCalled()
    await userEvent.click(screen.getByRole('button', { name: 'Switch, and keep my orders on top' }))

    expect(give).toHaveBeenCalledWith({ do: 'stance', stance: 'discussion', keepLive: true })
  })
})

describe('the banner', () => {
  it('says that everything is stopped and brings back what was', async () => {
    const give = vi.fn<(order: Order) => void>()
    show(<RoomBanner desk={desk({ supervision: { stoppedAt: at('10:16:00') } })} give={give} />)

    await userEvent.click(screen.getByRole('button', { name: 'Bring back what was' }))

    expect(give).toHaveBeenCalledWith({ do: 'resume' })
  })

  it('tells how long no adult is in, and offers nothing to order to who only looks on', () => {
    const supervision = { aloneSince: at('10:15:00'), stoppedAt: at('10:16:00') }
    show(<RoomBanner desk={desk({ supervision, mine: { observing: true } })} give={() => {}} />)

    expect(screen.getByText(/for 2 min now/)).toBeTruthy()
    expect(screen.queryByRole('button')).toBeNull()
  })
})

describe('the panels', () => {
  it('hand material out and take it back', async () => {
    const give = vi.fn<(order: Order) => void>()
    const materials = [{ number: 5, at: at('10:10:00'), by: 'Orla Venn', title: 'Tide table', body: 'page 4' }]
    show(<Material desk={desk({ handouts: materials })} give={give} />)

    await userEvent.click(screen.getByRole('button', { name: 'Take back' }))
    await userEvent.type(screen.getByLabelText('What you hand out'), 'Chart 7')
    await userEvent.type(screen.getByLabelText('Link or note'), 'folder 2')
    await userEvent.click(screen.getByRole('button', { name: 'Hand out' }))

    expect(give.mock.calls.map(([order]) => order)).toEqual([
      { do: 'take-back', number: 5 },
      { do: 'hand-out', title: 'Chart 7', body: 'folder 2' },
    ])
  })

  it('plan the running order step by step', async () => {
    const give = vi.fn<(order: Order) => void>()
    // By the clock it lasts to the end of the lesson; written are its fifteen minutes.
    const order = [{ stance: 'explaining', name: 'Explaining', from: at('10:05:00'), until: at('10:55:00') }]
    const written = [{ stance: 'explaining', name: 'Explaining', minutes: 15 }]
    show(<RunningOrderPlan desk={desk({ course: { order, written } })} give={give} />)
    expect(screen.getByText('15 of 50 min; the last stance lasts to the end.')).toBeTruthy()

    await userEvent.selectOptions(screen.getByLabelText('Stance to add'), 'Discussion')
    await userEvent.click(screen.getByRole('button', { name: 'Add' }))
    await userEvent.click(screen.getByRole('checkbox'))

    expect(give.mock.calls.map(([one]) => one)).toEqual([
      {
        do: 'running-order',
        byTheClock: false,
        steps: [
          { stance: 'explaining', minutes: 15 },
          { stance: 'discussion', minutes: 10 },
        ],
      },
      { do: 'running-order', byTheClock: true, steps: [{ stance: 'explaining', minutes: 15 }] },
    ])
  })
})

describe('what pupils see, and who else does', () => {
  it('is switched under More, and any adult ends passing the lesson on', async () => {
    const give = vi.fn()
    const seen = { rule: 'names.see-list', title: 'See who is present', value: 'open', bound: false, usualMinutes: 5 }
    const rights = { seen: [seen], passedOn: [{ id: 'tam-birket', name: 'Tam Birket' }], mayShowAll: true, mayPassOn: true }
    show(<DeskHead desk={desk({ rights })} now={NOW} connected give={give} busy={false} onWhy={() => {}} />)
    for (const name of ['Hide from pupils who is here', 'Show all of my screen', 'End passing the lesson on (Tam Birket)']) {
      await userEvent.click(screen.getByRole('button', { name: 'More' }))
      await userEvent.click(await screen.findByRole('menuitem', { name }))
    }
    expect(give.mock.calls.map(([order]) => order)).toEqual([
      { do: 'set', rule: 'names.see-list', value: 'closed' },
      { do: 'show-all' },
      { do: 'turn-off', person: 'tam-birket', what: 'PASSING_ON' },
    ])
  })

  it.each([
    ['tam-birket', 'Stop Tam Birket’s sharing', { do: 'turn-off', person: 'tam-birket', what: 'SCREEN' }],
    ['orla', 'Stop showing', { do: 'stop-showing' }],
  ])('what somebody shows is stopped, also by another adult, who then is named: %s', async (showing, name, order) => {
    const give = vi.fn()
    const rights = { showing, showingName: 'Tam Birket' }
    show(<DeskHead desk={desk({ rights })} now={NOW} connected give={give} busy={false} onWhy={() => {}} />)
    await userEvent.click(screen.getByRole('button', { name: 'More' }))
    await userEvent.click(await screen.findByRole('menuitem', { name }))
    expect(give).toHaveBeenCalledWith(order)
  })

  it('closes a right of the class for some minutes, from its heading', async () => {
    const give = vi.fn()
    const column = { rule: 'chat.class', title: 'Write', value: 'open', bound: false, usualMinutes: 5 }
    show(<Score desk={desk({ columns: [column] })} now={NOW} give={give} onWhy={() => {}} onShow={() => {}} />)
    await userEvent.click(screen.getByRole('button', { name: /Write for the class/ }))
    await userEvent.click(await screen.findByRole('menuitem', { name: /closed for 5 min/ }))
    expect(give).toHaveBeenCalledWith({ do: 'set', rule: 'chat.class', value: 'closed', minutes: 5 })
  })
})

describe('the score', () => {
  it('counts who is here, lends a right by one press, and other minutes by choosing', async () => {
    const give = vi.fn<(order: Order) => void>()
    const shown = desk({ pupils: [pupil('Ines Carrow'), pupil('Ciro Vance', { whereabouts: 'MISSING', stays: [] })] })
    show(<Score desk={shown} now={NOW} give={give} onWhy={() => {}} onShow={() => {}} />)

    expect(screen.getByText('1 of 2 here')).toBeTruthy()
    expect(screen.getByText('1 missing')).toBeTruthy()
    const row = screen.getByRole('row', { name: 'Ines Carrow' })
    const sign = within(row).getByRole('button', { name: 'Ines Carrow, Speak: on request' })
    await userEvent.click(sign)
    expect(give).toHaveBeenLastCalledWith({ do: 'pass', person: 'ines-carrow', rule: 'voice.speak', minutes: 5 })

    await userEvent.pointer({ keys: '[MouseRight]', target: sign })
    await userEvent.click(await screen.findByRole('menuitem', { name: 'pass for 15 min' }))
    expect(give).toHaveBeenLastCalledWith({ do: 'pass', person: 'ines-carrow', rule: 'voice.speak', minutes: 15 })
    expect(give).toHaveBeenCalledTimes(2)
  })

  it('takes back by one press, and asks before it closes what is open or lends what is bound or not there', () => {
    const cell = (value: string, more = {}) => ({ rule: 'share.draw', value, bound: false, loan: 'NONE' as const, ...more })
    const ines = pupil('Ines Carrow')
    expect(likely(ines, cell('open', { loan: 'PASS' }), 5)).toEqual({
      do: 'end-loan',
      person: 'ines-carrow',
      rule: 'share.draw',
    })
    expect(likely(ines, cell('closed', { loan: 'CURB' }), 5)).toMatchObject({ do: 'end-loan' })
    expect(likely(ines, cell('closed'), 5)).toMatchObject({ do: 'pass', minutes: 5 })
    expect(likely(ines, cell('on-request', { bound: true }), 2)).toMatchObject({ do: 'pass', minutes: 2 })
    expect(likely(ines, cell('closed', { bound: true }), 5)).toBeUndefined()
    expect(likely(ines, cell('open'), 5)).toBeUndefined()
    expect(likely(pupil('Ciro Vance', { whereabouts: 'MISSING' }), cell('closed'), 5)).toBeUndefined()
  })

  it('plans a right of the class before the lesson by one choice, as a rule of that lesson', async () => {
    const shown = desk({ pupils: [pupil('Ines Carrow')], phase: 'PLANNED' })
    const asked = serve({ [`PUT /api/rules/lesson%3A${shown.lesson}/at-once`]: {} })
    show(<Score desk={shown} now={NOW} give={() => {}} onWhy={() => {}} onShow={() => {}} />)
    await userEvent.click(screen.getByTitle('Speak'))
    await userEvent.click(await screen.findByRole('menuitem', { name: /closed in this lesson/ }))
    await waitFor(() => expect(asked).toHaveLength(1))
    expect(asked[0]?.body).toMatchObject({ rule: 'voice.speak', role: 'PUPIL', value: 'closed', binding: false })
  })

  it('nudges who is missing, and says until when who lost the line is expected back', async () => {
    const lost = { whereabouts: 'CONNECTION_LOST' as const, backBy: new Date(NOW + 120_000).toISOString() }
    const shown = desk({ pupils: [pupil('Ines Carrow', lost), pupil('Ciro Vance', { whereabouts: 'MISSING', stays: [] })] })
    const asked = serve({ [`POST /api/lessons/${shown.lesson}/nudges`]: { missing: 1, nudged: 1 } })
    show(<Score desk={shown} now={NOW} give={() => {}} onWhy={() => {}} onShow={() => {}} />)

    expect(screen.getByRole('row', { name: 'Ines Carrow' }).textContent).toMatch(/line lost, back by \d\d:\d\d/)
    await userEvent.click(screen.getByRole('button', { name: 'Nudge' }))
    expect(await screen.findByText('1 nudged')).toBeTruthy()
    expect(asked).toHaveLength(1)
  })

  it('never offers to switch something of a pupil on', async () => {
    const shown = desk({ pupils: [pupil('Ines Carrow', { microphone: true })] })
    show(<Score desk={shown} now={NOW} give={() => {}} onWhy={() => {}} onShow={() => {}} />)

    await userEvent.click(screen.getByRole('button', { name: 'More for Ines Carrow' }))
    const items = (await screen.findAllByRole('menuitem')).map((item) => item.textContent)

    expect(items).toEqual([
      'Mute',
      'Put in focus for everyone',
      'A private word…',
      'Merit for a good question',
      'Merit for helping others',
      'Merit for good work',
      'A step of the ladder…',
      'Trust with helping…',
      'A last word, all others out…',
      'Remove from the lesson…',
    ])
  })

  it('everything about one pupil is done by a control of full size, too: the rights in the rows are small', async () => {
    const give = vi.fn<(order: Order) => void>()
    show(<Score desk={desk()} now={NOW} give={give} onWhy={() => {}} onShow={() => {}} />)
    await userEvent.selectOptions(screen.getByLabelText('Everything about one pupil'), 'Jory Pell')
    expect(await screen.findByRole('menuitem', { name: 'Remove from the lesson…' })).toBeTruthy()
    await userEvent.click(screen.getByRole('menuitem', { name: /Speak…$/ }))
    await userEvent.click(await screen.findByRole('menuitem', { name: /pass for 5 min/ }))
    expect(give).toHaveBeenCalledWith({ do: 'pass', person: 'jory-pell', rule: 'voice.speak', minutes: 5 })
  })

  it('begins a private word from a row, and asks what happened before it removes anybody', async () => {
    const give = vi.fn<(order: Order) => void>()
    const setTo = vi.fn()
    show(
      <WriteTo.Provider value={{ to: '', setTo }}>
        <Score desk={desk()} now={NOW} give={give} onWhy={() => {}} onShow={() => {}} />
      </WriteTo.Provider>,
    )

    await userEvent.click(screen.getByRole('button', { name: 'More for Jory Pell' }))
    await userEvent.click(await screen.findByRole('menuitem', { name: 'A private word…' }))
    expect(setTo).toHaveBeenCalledWith('jory-pell')
    await userEvent.click(screen.getByRole('button', { name: 'More for Jory Pell' }))
    await userEvent.click(await screen.findByRole('menuitem', { name: 'Remove from the lesson…' }))
    await userEvent.type(await screen.findByLabelText('What happened'), 'shouting')
    expect(give).not.toHaveBeenCalled()
    await userEvent.click(screen.getByRole('button', { name: 'Remove' }))

    expect(give).toHaveBeenCalledWith({ do: 'remove', person: 'jory-pell', why: 'shouting' })
  })
})

describe('the opening', () => {
  it('shows who knocks and opens only when the button is pressed', async () => {
    const give = vi.fn<(order: Order) => void>()
    const shown = desk({ phase: 'PLANNED', starts: at('10:25:00'), waiting: [waiting('boatshed-tablet', '10:16:00')] })
    show(<OpeningNote desk={shown} now={NOW} give={give} busy={false} />)

    expect(screen.getByText(/Begins in 8:00/)).toBeTruthy()
    expect(screen.getByText(/boatshed-tablet/)).toBeTruthy()
    expect(give).not.toHaveBeenCalled()
    await userEvent.click(screen.getByRole('button', { name: 'Open the lesson' }))

    expect(give).toHaveBeenCalledWith({ do: 'open' })
  })

  it('opens and tells who is not there by one act', async () => {
    const shown = desk({ phase: 'PLANNED' })
    const path = `/api/lessons/${shown.lesson}`
    const asked = serve({ [`POST ${path}/open`]: {}, [`POST ${path}/nudges`]: { missing: 2, nudged: 2 } })
    show(<OpeningNote desk={shown} now={NOW} give={() => {}} busy={false} />)
    await userEvent.click(screen.getByRole('button', { name: 'Open, and tell who is not there' }))
    const sent = () => asked.filter((one) => one.method === 'POST').map((one) => one.path)
    await waitFor(() => expect(sent()).toEqual([`${path}/open`, `${path}/nudges`]))
  })
})

describe('the keys', () => {
  interface KeysProps {
    shown: Desk
    give: (order: Order) => void
    onShow?: (what: Shown) => void
  }

  function Keys({ shown, give, onShow = () => {} }: KeysProps) {
    useDeskKeys(shown, give, onShow)
    return <input aria-label="box" />
  }

  it('work while nothing is typed, and are letters while something is', async () => {
    const give = vi.fn<(order: Order) => void>()
    show(<Keys shown={desk({ needs: [need('HAND', 'Wen raises a hand', { person: 'wen-ostrander' })] })} give={give} />)

    await userEvent.keyboard('adms')
    await userEvent.type(screen.getByLabelText('box'), 'adms')

    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('box').value).toBe('adms'))
    expect(give.mock.calls.map(([order]) => order.do)).toEqual(['admit-all-listed', 'set', 'mute-all', 'pass'])
  })

  it('lead to the list, the board and all that is started with the class, and act on what runs', async () => {
    const give = vi.fn<(order: Order) => void>()
    const onShow = vi.fn<(what: Shown) => void>()
    const { unmount } = show(<Keys shown={desk()} give={give} onShow={onShow} />)
    await userEvent.keyboard('lpxuqtfeg')
    expect(onShow.mock.calls.flat()).toEqual([
      'list',
      'board',
      'merits',
      'notice',
      'question',
      'clock',
      'first',
      'slates',
      'groups',
    ])
    expect(give).not.toHaveBeenCalled()
    unmount()

    onShow.mockClear()
    const runs = desk({
      clocks: { clock: { number: 3, task: '', seconds: 60, tone: false, ranMs: 0, running: at('10:16:30'), over: false } },
      slates: { number: 4, task: '', ground: 'BLANK', collected: false, shown: [], named: false, people: [] },
    })
    show(<Keys shown={runs} give={give} onShow={onShow} />)
    await userEvent.keyboard('te')
    expect(give.mock.calls.map(([order]) => order.do)).toEqual(['pause-clock'])
    expect(onShow.mock.calls.flat()).toEqual(['wall'])
  })

  it('do nothing at the desk of who only looks on', async () => {
    const give = vi.fn<(order: Order) => void>()
    const onShow = vi.fn<(what: Shown) => void>()
    show(<Keys shown={desk({ mine: { observing: true } })} give={give} onShow={onShow} />)
    await userEvent.keyboard('qtfelpam')
    expect(give).not.toHaveBeenCalled()
    expect(onShow).not.toHaveBeenCalled()
  })

  it('stop everything by Escape twice in a row, and not by Escape twice in a while', async () => {
    const give = vi.fn<(order: Order) => void>()
    show(<Keys shown={desk()} give={give} />)
    const press = (timeStamp: number, where: Element = window.document.body) => {
      const event = new KeyboardEvent('keydown', { key: 'Escape', bubbles: true })
      Object.defineProperty(event, 'timeStamp', { value: timeStamp })
      where.dispatchEvent(event)
    }
    const box = window.document.body.appendChild(window.document.createElement('textarea'))
    press(100, box)
    press(200, box)
    expect(give, 'from within a box').not.toHaveBeenCalled()

    press(1000)
    press(2500)
    expect(give).not.toHaveBeenCalled()
    press(3000)

    expect(give).toHaveBeenCalledWith({ do: 'stop', why: '' })
  })

  it('are not for who only looks on', async () => {
    const give = vi.fn<(order: Order) => void>()
    show(<Keys shown={desk({ mine: { observing: true } })} give={give} />)

    await userEvent.keyboard('adms')

    expect(give).not.toHaveBeenCalled()
  })

  it('do nothing before the lesson is open', async () => {
    const give = vi.fn<(order: Order) => void>()
    show(<Keys shown={desk({ phase: 'PLANNED' })} give={give} />)

    await userEvent.keyboard('adms')

    expect(give).not.toHaveBeenCalled()
  })
})

describe('lending and ending', () => {
  const tam = {
    id: 'tam',
    name: 'Tam Birket',
    role: 'SECOND_ADULT' as const,
    in: true,
    leads: false,
    help: [
      { rule: 'help.door', value: 'open', bound: false, loan: 'NONE' as const },
      { rule: 'help.dismiss', value: 'on-request', bound: false, loan: 'NONE' as const },
    ],
  }
  const orla = { id: 'orla', name: 'Orla Venn', role: 'LEAD_ADULT' as const, in: true, leads: true, help: [] }

  it('lends a second adult a right, and takes one away, from the name in the head', async () => {
    const give = vi.fn()
    const press = userEvent.setup()
    show(<Adults desk={desk({ adults: [orla, tam] })} live give={give} />)

    await press.click(screen.getByTitle('Lend Tam Birket rights'))
    await press.click(await screen.findByRole('menuitem', { name: /End the lesson for everyone.*lend for 60 min/ }))
    await press.click(screen.getByTitle('Lend Tam Birket rights'))
    await press.click(await screen.findByRole('menuitem', { name: /Help at the door.*take away/ }))

    expect(give.mock.calls.map((call) => call[0] as Order)).toEqual([
      { do: 'pass', person: 'tam', rule: 'help.dismiss', minutes: 60 },
      { do: 'curb', person: 'tam', rule: 'help.door', minutes: 60 },
    ])
  })

  it('offers lending to nobody but who leads, and tells a helper what to ask first for', () => {
    const helping = desk({ adults: [orla, tam], me: 'tam', mine: { leading: false } })
    show(
      <>
        <Adults desk={helping} live give={vi.fn()} />
        <RoomBanner desk={helping} give={vi.fn()} />
      </>,
    )
    expect(screen.queryByTitle(/Lend/)).toBeNull()
    expect(screen.getByText(/Orla Venn leads.*Ask first for: end the lesson for everyone\./)).toBeTruthy()
  })

  it('trusts a pupil with the door from their row, and shows who agreed to the house rules', async () => {
    const give = vi.fn()
    const press = userEvent.setup()
    show(
      <Score
        desk={desk({ pupils: [pupil('Ines Carrow', { agreed: true })] })}
        now={NOW}
        give={give}
        onWhy={vi.fn()}
        onShow={() => {}}
      />,
    )

    await press.click(screen.getByRole('button', { name: 'More for Ines Carrow' }))
    expect(await screen.findByText('agreed to the house rules at the door')).toBeTruthy()
    await press.click(screen.getByRole('menuitem', { name: 'Trust with helping…' }))
    await press.click(await screen.findByRole('menuitem', { name: /Help at the door/ }))
    await press.click(screen.getByRole('button', { name: 'More for Ines Carrow' }))
    await press.click(await screen.findByRole('menuitem', { name: /A last word/ }))
    expect(give).toHaveBeenLastCalledWith({ do: 'pass', person: 'ines-carrow', rule: 'help.door', minutes: 10 })
    await press.click(await screen.findByRole('button', { name: 'Send the others home' }))
    expect(give).toHaveBeenLastCalledWith({ do: 'last-word', person: 'ines-carrow' })
  })

  it('says after the dismissal what was done by itself and who has not gone yet', () => {
    const over = desk({
      phase: 'OVER',
      dismissedAt: at('10:54:00'),
      ending: {
        leaving: ['Ines Carrow'],
        closing: [
          { step: 'CHAT_KEPT', count: 1 },
          { step: 'BOARD_KEPT', count: 0 },
          { step: 'REGISTER_DRAFTED', count: 2 },
        ],
      },
    })
    show(<OverNote desk={over} />)
    expect(screen.getAllByRole('listitem').map((one) => one.textContent)).toEqual([
      '1 message kept in the record.',
      'The board was empty.',
      'The register is drafted: 2 were here.',
    ])
    expect(screen.getByRole('status').textContent).toBe('1 still leavingInes Carrow')
  })

  it('asks why everything was stopped, once it is, and asks only once', async () => {
    const give = vi.fn()
    const press = userEvent.setup()
    const stopped = (because?: string) => desk({ supervision: { stoppedAt: at('10:16:00'), stoppedBecause: because } })
    const { unmount } = show(<RoomBanner desk={stopped('')} give={give} />)
    await press.type(screen.getByLabelText('Why everything is stopped, for the record'), 'shouting{Enter}')
    expect(give).toHaveBeenCalledWith({ do: 'stop', why: 'shouting' })
    unmount()

    show(<RoomBanner desk={stopped('shouting')} give={give} />)
    expect(screen.getByText('Because: shouting')).toBeTruthy()
    expect(screen.queryByLabelText('Why everything is stopped, for the record')).toBeNull()
  })
})
