import { screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { describe, expect, it, vi } from 'vitest'
import { Score } from '../../areas/desk/parts/Score'
import type { Desk, Seat } from '../../shared/api/types'
import { serve, show } from '../../shared/testing'
import type { Order } from '../orders'
import { WordsPanel } from '../chat/WordsPanel'
import { WriteTo } from '../chat/writing'
import { aDesk, aNeed, aPupil, aTable, at, NOW } from '../testing'
import { Drawing } from './Drawing'
import { groups } from './groups'
import { Hall } from './Hall'
import { groupsNeeds } from './needs'
import { Banner } from './SeatGroup'

const OUT = { since: at('10:10:00'), ends: at('10:20:00'), calledBack: false, invited: 0 }
const tables = [
  aTable('g1', 'Reef', ['Ines Carrow', 'Jory Pell'], {
    call: { since: at('10:16:00'), by: 'Ines Carrow' },
    aloneSince: at('10:12:00'),
    aloneSeconds: 30,
    beyondAt: at('10:15:00'),
    seen: [{ eye: 'IN', from: at('10:11:00'), until: at('10:12:00') }],
  }),
  aTable('g2', 'Skerry', ['Edda Quillan'], {
    adults: ['Orla Venn'],
    last: { from: 'Edda Quillan', text: 'found it', at: at('10:16:00') },
  }),
  aTable('g3', 'Holm', ['Bo Lindqvar'], { aloneSince: at('10:10:00'), held: 2, quiet: true }),
]
const out = (more: Partial<Desk['groups']> = {}) =>
  aDesk({
    groups: {
      out: OUT,
      tables,
      next: { group: 'g1', name: 'Reef', why: 'CALLS', says: 'calls for an adult' },
      ...more,
    },
    mineInGroups: { in: 'g2' },
  })

const asked = () => vi.fn<(order: Order) => void>()

describe('the hall of tables', () => {
  it('says of each group who sees it, what was written, and which is the next', async () => {
    const give = asked()
    show(<Hall desk={out()} now={NOW} give={give} onList={() => {}} />)

    const reef = screen.getByRole('row', { name: 'Reef' })
    expect(reef.textContent).toContain('calls for help, 1:00')
    expect(reef.textContent).toContain('5:30 without an adult')
    expect(screen.getByRole('row', { name: 'Skerry' }).textContent).toContain('Orla Venn is here')
    expect(screen.getByRole('row', { name: 'Skerry' }).textContent).toContain('found it')
    expect(screen.getByRole('row', { name: 'Holm' }).textContent).toContain('no adult yet, 7:00 · gone quiet')
    expect(screen.getByRole('row', { name: 'Holm' }).textContent).toContain('2 messages wait')

    await userEvent.click(within(reef).getByRole('button', { name: /Next: go in/ }))
    await userEvent.click(within(screen.getByRole('row', { name: 'Skerry' })).getByRole('button', { name: 'Come out' }))
    await userEvent.click(screen.getByRole('button', { name: /Call all back/ }))
    expect(give.mock.calls.map(([order]) => order)).toEqual([
      { do: 'go-in', group: 'g1' },
      { do: 'come-out' },
      { do: 'call-back', seconds: 30 },
    ])
  })

  it('counts down while everybody is called back, and lets them stay after all', async () => {
    const give = asked()
    show(<Hall desk={out({ out: { ...OUT, ends: at('10:17:30'), calledBack: true } })} now={NOW} give={give} onList={() => {}} />)

    expect(screen.getByRole('timer').textContent).toContain('all back in 0:30')
    await userEvent.click(screen.getByRole('button', { name: 'Stay out after all' }))
    await userEvent.click(screen.getByRole('button', { name: /At once/ }))
    expect(give.mock.calls.map(([order]) => order)).toEqual([
      { do: 'stay-longer', minutes: 0 },
      { do: 'call-back', seconds: 0 },
    ])
  })

  it('looks away when it is left while looking into a group', () => {
    const give = asked()
    const desk = { ...out(), mine: { ...out().mine, groups: { looking: 'g1' } } }
    const { unmount } = show(<Hall desk={desk} now={NOW} give={give} onList={() => {}} />)
    expect(give).not.toHaveBeenCalled()
    unmount()
    expect(give).toHaveBeenCalledWith({ do: 'look-away' })
  })
})

describe('drawing up', () => {
  const preview = {
    rights: [{ rule: 'chat.class', title: 'Write to the whole class', now: 'OPEN', inGroups: 'CLOSED' }],
    recording: 'What is said in groups cannot be recorded.',
    minutes: 20,
    smallest: 2,
    aloneMinutes: 5,
    prepared: [{ id: 'tt', name: 'Tide tables' }],
    lastTimes: 2,
  }
  const drawn = (broken: Desk['groups']['broken'] = []) =>
    aDesk({
      pupils: [aPupil('Ines Carrow'), aPupil('Jory Pell'), aPupil('Kester Tabb')],
      groups: { tables: [aTable('g1', 'Reef', ['Ines Carrow']), aTable('g2', 'Skerry', ['Jory Pell'])], broken },
    })

  it('moves a name by the number of a group, or by choosing one, and says who is in none', async () => {
    serve({ 'GET /api/lessons/tidal/groups/preview': preview })
    const give = asked()
    show(<Drawing desk={drawn()} lesson="tidal" give={give} onList={() => {}} />)

    screen.getByRole('button', { name: 'Ines Carrow' }).focus()
    await userEvent.keyboard('2')
    expect(within(screen.getByRole('group', { name: 'In no group' })).getByText('Kester Tabb')).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Kester Tabb' }))
    await userEvent.click(await screen.findByRole('menuitem', { name: '1 Reef' }))
    await userEvent.click(within(screen.getByRole('group', { name: 'Skerry' })).getByRole('checkbox', { name: 'keep' }))
    expect(give.mock.calls.map(([order]) => order)).toEqual([
      { do: 'to-group', person: 'ines-carrow', to: 'g2' },
      { do: 'to-group', person: 'kester-tabb', to: 'g1' },
      { do: 'lock-group', group: 'g2', on: true },
    ])
  })

  it('says what holds in a group, and does not send what the lead has ruled out', async () => {
    serve({ 'GET /api/lessons/tidal/groups/preview': preview })
    show(
      <Drawing
        desk={drawn([{ says: 'Ines Carrow and Jory Pell stay apart, by the safeguarding lead', binding: true }])}
        lesson="tidal"
        give={() => {}}
        onList={() => {}}
      />,
    )

    expect(await screen.findByText(/cannot be recorded/)).toBeTruthy()
    expect(screen.getByText(/Keeps them from being sent/)).toBeTruthy()
    expect(screen.getByRole('button', { name: 'Send out' }).hasAttribute('disabled')).toBe(true)
    expect(screen.getByRole('option', { name: 'Tide tables' })).toBeTruthy()
    expect(screen.getByRole('button', { name: 'As last time' })).toBeTruthy()
  })
})

describe('what groups ask of an adult', () => {
  it('a latecomer is sent to the group that needs them by one press', async () => {
    const give = asked()
    const desk = out({ late: [{ id: 'bo', name: 'Bo Lindqvar', to: 'g2', toName: 'Skerry' }] })
    const Late = groupsNeeds.GROUP_LATE as NonNullable<typeof groupsNeeds.GROUP_LATE>
    show(<Late need={aNeed('GROUP_LATE', 'late', { person: 'bo', group: 'g2' })} desk={desk} give={give} onWhy={() => {}} />)

    await userEvent.click(screen.getByRole('button', { name: 'To Skerry' }))
    await userEvent.selectOptions(screen.getByRole('combobox', { name: 'To another group' }), 'Holm')
    expect(give.mock.calls.map(([order]) => order)).toEqual([
      { do: 'to-group', person: 'bo', to: 'g2' },
      { do: 'to-group', person: 'bo', to: 'g3' },
    ])
  })

  it('one card tells of all groups without an adult', () => {
    const Alone = groupsNeeds.GROUP_ALONE as NonNullable<typeof groupsNeeds.GROUP_ALONE>
    const desk = out({ tables: tables.map((one) => ({ ...one, call: undefined, beyondAt: at('10:16:00') }) as typeof one) })
    show(<Alone need={aNeed('GROUP_ALONE', 'alone', { group: 'g3' })} desk={desk} give={() => {}} onWhy={() => {}} />)
    expect(screen.getByText(/Holm and 2 more/)).toBeTruthy()
    expect(screen.getByText(/gone quiet by itself/).textContent).toContain('The same in Reef, Skerry.')
  })

  it('a pupil is sent to another group, or back, from the class list', async () => {
    const give = asked()
    const desk = out()
    desk.door.pupils = [...desk.door.pupils, ...aDesk({ pupils: [aPupil('Edda Quillan')] }).door.pupils]
    show(<Score desk={desk} now={NOW} give={give} onWhy={() => {}} onShow={() => {}} />)

    expect(screen.getByText('in Skerry')).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'More for Edda Quillan' }))
    await userEvent.click(await screen.findByRole('menuitem', { name: 'Send to Holm' }))
    await userEvent.click(screen.getByRole('button', { name: 'More for Edda Quillan' }))
    await userEvent.click(await screen.findByRole('menuitem', { name: 'Back from Skerry to the class' }))
    expect(give.mock.calls.map(([order]) => order)).toEqual([
      { do: 'to-group', person: 'edda-quillan', to: 'g3' },
      { do: 'to-group', person: 'edda-quillan', to: null },
    ])
  })

  it('the class list says in which group somebody is', () => {
    expect(groups.page.marks(out(), 'edda-quillan')).toEqual([{ short: 'Skerry', words: 'in Skerry', quiet: true }])
    expect(groups.page.marks(aDesk(), 'edda-quillan')).toEqual([])
  })
})

describe('words while the class is apart', () => {
  it('are those of the group one looks into, or all; and go to one group, or to all', async () => {
    const asked = serve({ 'POST /api/lessons/tidal/words': { number: 12 } })
    const words = (number: number, text: string, place?: string): Desk['words'][number] => ({
      number,
      at: at('10:16:00'),
      from: 'x',
      fromName: 'Somebody',
      to: place ? 'PLACE' : 'CLASS',
      toName: place ?? '',
      ...(place ? { place } : {}),
      text,
    })
    const desk = { ...out(), words: [words(1, 'in the reef', 'g1'), words(2, 'in the holm', 'g3'), words(3, 'to everybody')] }
    desk.mine = { ...desk.mine, groups: { looking: 'g1' } }
    function Words() {
      const [to, setTo] = useState('')
      return (
        <WriteTo.Provider value={{ to, setTo }}>
          <WordsPanel desk={desk} lesson="tidal" onWhy={() => {}} />
        </WriteTo.Provider>
      )
    }
    show(<Words />)

    const log = screen.getByRole('log')
    expect(log.textContent).toContain('in the reef')
    expect(log.textContent).toContain('to everybody')
    expect(log.textContent).not.toContain('in the holm')
    await userEvent.click(screen.getByRole('button', { name: 'you hear Reef; all words' }))
    expect(log.textContent).toContain('in the holm')
    await userEvent.selectOptions(screen.getByLabelText('To whom'), 'to Holm')
    await userEvent.type(screen.getByLabelText('Write to Holm'), 'well done{Enter}')
    expect(asked.at(-1)?.body).toEqual({ to: 'PLACE', place: 'g3', text: 'well done' })
  })
})

describe('at the seat', () => {
  const seat = (groups: Seat['groups'], mine: Seat['mine']['groups'] = undefined) =>
    ({ groups, mine: { groups: mine, door: { name: 'Ines Carrow' } } }) as unknown as Seat
  const here = {
    id: 'g1',
    name: 'Reef',
    task: 'Find high water',
    with: [
      { name: 'Ines Carrow', in: true },
      { name: 'Jory Pell', in: false },
    ],
    adults: [],
    looking: ['Orla Venn'],
    mayReturn: true,
    quiet: false,
  }

  it('tells where one is, with whom, what to do and how long, and calls an adult', async () => {
    const act = vi.fn()
    show(<Banner seat={seat({ ends: at('10:20:00'), calledBack: false, here })} now={NOW} act={act} />)

    const group = screen.getByRole('region', { name: 'Your group' })
    expect(group.textContent).toContain('You are in Reef')
    expect(group.textContent).toContain('with Jory Pell (not here)')
    expect(group.textContent).toContain('Find high water')
    expect(group.textContent).toContain('Orla Venn looks in')
    expect(screen.getByRole('timer').textContent).toContain('3:00')
    await userEvent.click(screen.getByRole('button', { name: 'Call an adult' }))
    await userEvent.click(screen.getByRole('button', { name: 'Back to the class' }))
    expect(act.mock.calls.map(([one]) => one)).toEqual([{ do: 'call-adult' }, { do: 'leave-group' }])
  })

  it('asks to go, or to wait', async () => {
    const act = vi.fn()
    const { unmount } = show(
      <Banner
        seat={seat({ ends: at('10:20:00'), calledBack: false }, { name: 'Reef', with: ['Ines Carrow'] })}
        now={NOW}
        act={act}
      />,
    )
    await userEvent.click(screen.getByRole('button', { name: 'Go to Reef' }))
    expect(act).toHaveBeenCalledWith({ do: 'go-to-group' })
    unmount()
    show(<Banner seat={seat({ ends: at('10:20:00'), calledBack: false })} now={NOW} act={act} />)
    expect(screen.getByRole('status').textContent).toContain('an adult will send you')
  })
})
