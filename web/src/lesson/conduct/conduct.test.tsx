import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import { serve, show } from '../../shared/testing'
import { aDesk, at } from '../testing'
import { PAGES } from '../parts'
import { rows } from '../rows'
import { StepSheet } from './StepSheet'
import { conduct } from './conduct'

const LADDER = {
  steps: [
    {
      id: 'word',
      name: 'A word',
      measure: 'WORD',
      who: 'ANY_ADULT',
      halfDays: 14,
      minutes: 0,
      parents: false,
      opensIncident: false,
    },
    {
      id: 'curb',
      name: 'A right closed',
      measure: 'CURB',
      who: 'ANY_ADULT',
      halfDays: 25,
      right: 'chat.class',
      minutes: 15,
      parents: false,
      opensIncident: true,
    },
    {
      id: 'out',
      name: 'Out of this lesson',
      measure: 'OUT_OF_LESSON',
      who: 'ANY_ADULT',
      halfDays: 45,
      minutes: 0,
      parents: true,
      opensIncident: true,
    },
  ],
  acts: [
    { id: 'noise', name: 'Noise', severity: 'SLIGHT', from: 1 },
    { id: 'insult', name: 'Insults', severity: 'MIDDLE', from: 2 },
  ],
  heavier: [],
}

const proposed = (level: number) => [
  { act: 'noise', step: 'word', level: 1, why: ['“Noise” stands at step 1.'], sum: 0 },
  { act: 'insult', step: 'curb', level, why: ['“Insults” stands at step 2.', 'Nothing before it counts any more.'], sum: 0 },
]

const SHEET = {
  ladder: LADDER,
  latest: 7,
  people: [{ id: 'ines-carrow', name: 'Ines Carrow', proposed: proposed(2) }],
  rows: [{ row: 'WROTE', people: ['ines-carrow', 'jory-pell'] }],
  evidence: { minutes: 5, words: 2, files: 0, marks: 1, signals: 0, present: 14, recorded: false },
}

function sheet(people: string[]) {
  const give = vi.fn()
  const onPeople = vi.fn()
  serve({ [`GET /api/lessons/tidal/conduct?people=${people.join('%2C')}&minutes=5`]: SHEET })
  show(<StepSheet desk={aDesk()} people={people} onPeople={onPeople} onClose={() => {}} give={give} />)
  return { give, onPeople, user: userEvent.setup() }
}

describe('a step', () => {
  it('that is proposed is taken by one press, and says why it is and what it takes along', async () => {
    const { give, user } = sheet(['ines-carrow'])
    await user.click(await screen.findByRole('button', { name: 'Insults' }))

    expect(screen.getByRole('note', { name: 'Why this step is proposed' }).textContent).toContain('stands at step 2')
    expect(screen.getByText(/2 messages, 1 mark, their rights, who was there \(14\)/)).toBeTruthy()
    await user.click(screen.getByRole('button', { name: /Take step 2/ }))
    expect(give).toHaveBeenCalledWith({
      do: 'step',
      people: ['ines-carrow'],
      act: 'insult',
      step: 'curb',
      seen: 7,
      evidenceMinutes: 5,
    })
  })

  it('other than the proposed one is said to be higher, and waits for a reason', async () => {
    const { give, user } = sheet(['ines-carrow'])
    await user.click(await screen.findByRole('button', { name: /Out of this lesson/ }))

    expect(screen.getByRole('status').textContent).toContain('Step 3 is higher than the ladder proposes')
    const take = screen.getByRole('button', { name: /Take step 3/ })
    expect((take as HTMLButtonElement).disabled).toBe(true)
    await user.type(screen.getByRole('textbox', { name: 'Why another step' }), 'others upset')
    await user.click(take)
    expect(give).toHaveBeenCalledWith(expect.objectContaining({ step: 'out', why: 'others upset' }))
  })

  it('that closes a right lets one choose which, and for how long', async () => {
    const { give, user } = sheet(['ines-carrow'])
    await user.click(await screen.findByRole('button', { name: 'Insults' }))
    await user.selectOptions(screen.getByRole('combobox', { name: 'Which right' }), 'share.draw')
    await user.selectOptions(screen.getByRole('combobox', { name: 'For how long' }), '5')
    await user.click(screen.getByRole('button', { name: /Take step 2/ }))
    expect(give).toHaveBeenCalledWith(expect.objectContaining({ right: 'share.draw', minutes: 5 }))
  })

  it('is for a whole row by one press', async () => {
    const { onPeople, user } = sheet([])
    await user.click(await screen.findByRole('button', { name: 'Wrote just now (2)' }))
    expect(onPeople).toHaveBeenCalledWith(['ines-carrow', 'jory-pell'])
  })
})

describe('the desk', () => {
  const taken = {
    number: 7,
    people: ['ines-carrow'],
    step: 'A reminder',
    measure: 'REMINDER' as const,
    level: 2,
    act: 'Insults',
    why: '',
    at: at('10:12:00'),
    by: 'Orla Venn',
    withdrawn: false,
  }

  it('has a tick for each step that counts on the line of the pupil', () => {
    const desk = aDesk({ conduct: { steps: [taken, { ...taken, number: 8, withdrawn: true }] } })
    const [ines, jory] = rows(desk)
    expect(ines?.ticks).toEqual([{ at: taken.at, words: 'Step 2, A reminder, for insults (Orla Venn)' }])
    expect(jory?.ticks).toEqual([])
  })

  it('shows a worry for the lead alone only to who is one', async () => {
    const worry = {
      number: 9,
      person: 'ines-carrow',
      name: 'Ines Carrow',
      about: 'AN_ADULT' as const,
      words: 'he shouted',
      since: at('10:12:00'),
    }
    const give = vi.fn()
    const { UnderHead } = conduct.page
    show(<UnderHead desk={aDesk({ worriesForMe: [worry] })} now={0} give={give} />)
    const note = await screen.findByRole('status', { name: 'For the safeguarding lead alone' })
    expect(note.textContent).toContain('about an adult. “he shouted”')
    await userEvent.click(within(note).getByRole('button', { name: 'I see to it' }))
    expect(give).toHaveBeenCalledWith({ do: 'worry-seen', number: 9 })
  })

  it('has keys for the ladder and for a moment to look at later', () => {
    const give = vi.fn()
    const open = vi.fn()
    const keys = Object.assign({}, ...PAGES.map((page) => page.keys?.(aDesk(), give, open) ?? {})) as Record<string, () => void>
    keys.c?.()
    keys.y?.()
    expect(open).toHaveBeenCalledWith('step')
    expect(give).toHaveBeenCalledWith({ do: 'moment', text: '' })
  })
})

describe('at the seat', () => {
  it('something that is wrong is said quietly, and it is told who reads it', async () => {
    const { RaiseWorry } = await import('./RaiseWorry')
    const act = vi.fn()
    const seat = { conduct: { leadOnly: false }, adults: ['Orla Venn'], mine: { conduct: { raised: [] } } }
    show(<RaiseWorry seat={seat as never} act={act} />)
    await userEvent.click(await screen.findByRole('button', { name: 'Something is wrong…' }))
    expect((await screen.findByRole('status')).textContent).toContain('It goes to Orla Venn and the safeguarding lead.')
    await userEvent.click(screen.getByRole('radio', { name: 'an adult' }))
    await waitFor(() => expect(screen.getByRole('status').textContent).toContain('and to no adult of this lesson'))
    await userEvent.click(screen.getByRole('button', { name: 'Say it quietly' }))
    expect(act).toHaveBeenCalledWith({ do: 'worry', about: 'AN_ADULT', words: '', leadOnly: false })
  })

  it('who has said it is told who reads it, and can say more', async () => {
    const { RaiseWorry } = await import('./RaiseWorry')
    const act = vi.fn()
    const raised = [
      { at: at('10:08:00'), leadOnly: false },
      { at: at('10:12:00'), leadOnly: true },
    ]
    const seat = { conduct: { leadOnly: false }, adults: ['Orla Venn'], mine: { conduct: { raised } } }
    show(<RaiseWorry seat={seat as never} act={act} />)
    expect((await screen.findByRole('status')).textContent).toContain('The safeguarding lead reads it, and nobody else.')
    await userEvent.click(screen.getByRole('button', { name: 'Something is wrong…' }))
    await userEvent.click(await screen.findByRole('radio', { name: 'another pupil' }))
    await userEvent.type(screen.getByLabelText('In your words, if you like'), '  he writes to me  ')
    await userEvent.click(screen.getByRole('checkbox', { name: /Only the safeguarding lead/ }))
    await userEvent.click(screen.getByRole('button', { name: 'Say it quietly' }))
    expect(act).toHaveBeenCalledWith({ do: 'worry', about: 'A_PUPIL', words: 'he writes to me', leadOnly: true })
    expect(screen.queryByRole('button', { name: 'Say it quietly' })).toBeNull()
  })

  it('in a lesson whose worries go to the lead, no adult of it is named as a reader', async () => {
    const { RaiseWorry } = await import('./RaiseWorry')
    const seat = { conduct: { leadOnly: true }, adults: ['Orla Venn'], mine: { conduct: { raised: [] } } }
    show(<RaiseWorry seat={seat as never} act={() => {}} />)
    await userEvent.click(await screen.findByRole('button', { name: 'Something is wrong…' }))
    const readers = await screen.findByRole('status')
    expect(readers.textContent).toContain('safeguarding lead of the school, and to nobody else')
    expect(readers.textContent).not.toContain('Orla Venn')
  })
})
