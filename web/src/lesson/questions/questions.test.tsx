import { screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import type { Desk, DeskQuestion, Seat } from '../../shared/api/types'
import { serve, show } from '../../shared/testing'
import type { Order } from '../orders'
import { aDesk, at, NOW } from '../testing'
import { Maker } from './Maker'
import { QuestionFields } from './QuestionFields'
import { questions } from './questions'
import { Banner } from './SeatQuestion'
import { Strokes, Tally } from './Tally'
import type { Asking } from './orders'

function aQuestion(more: Partial<DeskQuestion> = {}): DeskQuestion {
  return {
    number: 7,
    ask: { kind: 'SINGLE', text: 'Which tide?', choices: ['spring', 'neap'], right: [0], spellings: [], points: 0 },
    changeable: true,
    named: true,
    askedAt: at('10:16:00'),
    open: true,
    shown: false,
    tellsRight: false,
    enough: true,
    results: {
      answers: 6,
      right: 4,
      lines: [
        { words: 'spring', count: 4, right: true },
        { words: 'neap', count: 2, right: false },
      ],
    },
    askedOf: 8,
    missing: [
      { id: 'ines', name: 'Ines Carrow' },
      { id: 'jory', name: 'Jory Pell' },
    ],
    nudged: false,
    answers: [{ id: 'edda', name: 'Edda Quillan', words: 'spring', right: true, seconds: 9 }],
    ...more,
  }
}

describe('the question before the class', () => {
  const strip = (question: DeskQuestion, give: (order: Order) => void = () => {}) =>
    show(<questions.page.UnderHead desk={aDesk({ question })} now={NOW} give={give} />)

  it('tells how it is answered, who has not yet, and nudges them', async () => {
    const give = vi.fn<(order: Order) => void>()
    strip(aQuestion({ until: at('10:18:06') }), give)

    expect(screen.getByText('6 of 8 have answered')).toBeTruthy()
    expect(screen.getByText(/1:06 left/)).toBeTruthy()
    expect(screen.getByText(/Not yet: Ines Carrow, Jory Pell/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'nudge' }))
    await userEvent.click(screen.getByRole('button', { name: '30 s more' }))
    await userEvent.click(screen.getByRole('button', { name: /Close it/ }))
    expect(give.mock.calls.map(([order]) => order)).toEqual([
      { do: 'nudge-question', number: 7 },
      { do: 'longer-question', number: 7, seconds: 30 },
      { do: 'close-question', number: 7 },
    ])
  })

  it('shows who answered what only where names are seen', async () => {
    strip(aQuestion())
    await userEvent.click(screen.getByRole('button', { name: 'Who answered what' }))
    expect(await screen.findByText('Edda Quillan')).toBeTruthy()
    expect(screen.getByText('9 s')).toBeTruthy()
  })

  it('shows the class nothing of fewer than five, and says why', () => {
    strip(aQuestion({ open: false, enough: false, missing: [], answers: [], named: false }))
    expect(screen.getByRole('button', { name: /Show, no names/ }).hasAttribute('disabled')).toBe(true)
    expect(screen.getByText(/Fewer than five answered/)).toBeTruthy()
    expect(screen.getByText(/nobody sees names/)).toBeTruthy()
  })

  it('tells what is right as a second step, and is put away', async () => {
    const give = vi.fn<(order: Order) => void>()
    strip(aQuestion({ open: false, shown: true, missing: [] }), give)
    await userEvent.click(screen.getByRole('button', { name: 'Show what is right' }))
    await userEvent.click(screen.getByRole('button', { name: 'Put it away' }))
    expect(give.mock.calls.map(([order]) => order)).toEqual([
      { do: 'show-results', number: 7, right: true },
      { do: 'put-away', number: 7 },
    ])
  })

  it('has keys: Q asks and closes, H shows', () => {
    const give = vi.fn()
    const open = vi.fn()
    const press = (desk: Desk, key: string) => questions.page.keys(desk, give, open)[key]?.()
    press(aDesk(), 'q')
    expect(open).toHaveBeenCalledWith('question')
    press(aDesk({ question: aQuestion() }), 'q')
    press(aDesk({ question: aQuestion() }), 'h')
    press(aDesk({ question: aQuestion({ enough: false }) }), 'h')
    expect(give.mock.calls).toEqual([[{ do: 'close-question', number: 7 }], [{ do: 'show-results', number: 7, right: false }]])
  })
})

describe('a tally', () => {
  it('is read by strokes in bunches of five and by numbers, never by colour alone', () => {
    const { container } = show(<Strokes count={13} />)
    expect(container.querySelectorAll('svg')).toHaveLength(3)
    show(<Tally results={aQuestion().results} />)
    const right = screen.getByRole('rowheader', { name: /right: ?spring/ })
    expect(within(right.closest('tr')!).getByText('4')).toBeTruthy()
    expect(screen.getByText('4 of 6 were right.')).toBeTruthy()
  })
})

describe('asking', () => {
  const sets = {
    ofClass: 'tidal-navigation-8',
    title: 'Tidal Navigation 8',
    editable: true,
    sets: [
      {
        id: 's1',
        name: 'Before the test',
        version: 1,
        by: 'Orla Venn',
        at: at('09:00:00'),
        questions: [
          {
            id: 'q1',
            ask: {
              kind: 'NUMBER',
              text: 'How deep?',
              choices: [],
              right: [],
              number: '12.5',
              tolerance: '0.5',
              spellings: [],
              points: 2,
            },
          },
        ],
      },
    ],
  }

  it('takes one press for ready answers, by key or pointer, with what is written and for how long', async () => {
    serve({ 'GET /api/classes/tidal-navigation-8/question-sets': sets })
    const ask = vi.fn()
    show(<Maker desk={aDesk()} ask={ask} classId="tidal-navigation-8" />)

    await userEvent.keyboard('1')
    expect(ask).toHaveBeenLastCalledWith({
      do: 'ask',
      changeable: true,
      question: { kind: 'SINGLE', text: '', choices: ['true', 'false'], right: [], spellings: [], points: 0 },
    })
    await userEvent.type(screen.getByLabelText('The question'), 'Is it 1?')
    expect(ask).toHaveBeenCalledTimes(1)
    await userEvent.selectOptions(screen.getByRole('combobox'), '60')
    await userEvent.click(screen.getByLabelText(/may be changed/))
    await userEvent.click(screen.getByRole('button', { name: /Agree or not/ }))
    expect(ask.mock.lastCall?.[0]).toMatchObject({ changeable: false, seconds: 60, question: { text: 'Is it 1?' } })
  })

  it('asks what was prepared, with its id, so that it can be followed over lessons', async () => {
    serve({ 'GET /api/classes/tidal-navigation-8/question-sets': sets })
    const ask = vi.fn()
    show(<Maker desk={aDesk()} ask={ask} classId="tidal-navigation-8" />)
    await userEvent.click(await screen.findByRole('button', { name: 'Ask' }))
    expect(ask.mock.lastCall?.[0]).toMatchObject({
      prepared: 'q1',
      question: { kind: 'NUMBER', text: 'How deep?', number: '12.5', tolerance: '0.5' },
    })
  })

  it('changes what is asked for with its kind, and keeps what is right in step with the choices', async () => {
    const changed = vi.fn<(next: Asking) => void>()
    const asking: Asking = { kind: 'MULTIPLE', text: 'Which?', choices: ['a', 'b', 'c'], right: [0, 2], spellings: [], points: 0 }
    const { unmount } = show(<QuestionFields asking={asking} onChange={changed} />)
    await userEvent.click(screen.getByRole('button', { name: 'Leave out choice 1' }))
    expect(changed.mock.lastCall?.[0]).toMatchObject({ choices: ['b', 'c'], right: [1] })
    await userEvent.click(screen.getByLabelText('Choice 2 is right'))
    expect(changed.mock.lastCall?.[0].right).toEqual([0, 2, 1])
    await userEvent.selectOptions(screen.getByLabelText(/answered by/), 'NUMBER')
    expect(changed.mock.lastCall?.[0]).toMatchObject({ kind: 'NUMBER', choices: [], right: [] })
    unmount()
    show(<QuestionFields asking={{ ...asking, kind: 'TEXT', choices: [], right: [] }} onChange={changed} />)
    await userEvent.type(screen.getByLabelText('What counts as right'), 'x')
    expect(changed.mock.lastCall?.[0].spellings).toEqual(['x'])
  })
})

describe('at the seat', () => {
  type Asked = NonNullable<Seat['question']>
  const asked: Asked = {
    number: 7,
    kind: 'SINGLE',
    text: 'Which tide?',
    choices: ['spring', 'neap'],
    changeable: true,
    open: true,
    mayAnswer: true,
  }
  const sit = (question: Partial<Asked>, mine: Partial<NonNullable<Seat['mine']['question']>>, act = vi.fn()) => {
    const seat = { question: { ...asked, ...question }, mine: { question: { nudged: false, ...mine } } } as unknown as Seat
    show(<Banner seat={seat} now={NOW} act={act} />)
    return act
  }

  it('is answered by one press, and may be changed while it is open', async () => {
    const act = sit({ until: at('10:17:30') }, { answer: { picked: [1] }, nudged: false })
    expect(screen.getByText('0:30 left')).toBeTruthy()
    expect(screen.getByText(/You may change it until it closes/)).toBeTruthy()
    expect(screen.getByRole('button', { name: /neap/ }).getAttribute('aria-pressed')).toBe('true')
    await userEvent.click(screen.getByRole('button', { name: 'spring' }))
    expect(act).toHaveBeenCalledWith({ do: 'answer', number: 7, picked: [0] })
  })

  it('takes several, an order, a number and a text', async () => {
    const several = sit({ kind: 'MULTIPLE' }, {})
    await userEvent.click(screen.getByRole('button', { name: 'neap' }))
    await userEvent.click(screen.getByRole('button', { name: 'Answer with these 1' }))
    expect(several).toHaveBeenCalledWith({ do: 'answer', number: 7, picked: [1] })
    document.body.innerHTML = ''
    const order = sit({ kind: 'ORDER' }, {})
    await userEvent.click(screen.getByRole('button', { name: 'neap' }))
    expect(screen.getByRole('button', { name: '1 to go' }).hasAttribute('disabled')).toBe(true)
    await userEvent.click(screen.getByRole('button', { name: 'spring' }))
    await userEvent.click(screen.getByRole('button', { name: 'Answer in this order' }))
    expect(order).toHaveBeenCalledWith({ do: 'answer', number: 7, picked: [1, 0] })
    document.body.innerHTML = ''
    const number = sit({ kind: 'NUMBER', choices: [] }, {})
    await userEvent.type(screen.getByLabelText('Your answer, a number'), '12,5{Enter}')
    expect(number).toHaveBeenCalledWith({ do: 'answer', number: 7, given: '12,5' })
    document.body.innerHTML = ''
    const words = sit({ kind: 'TEXT', choices: [] }, {})
    await userEvent.type(screen.getByLabelText('Your answer'), 'the ebb{Enter}')
    expect(words).toHaveBeenCalledWith({ do: 'answer', number: 7, text: 'the ebb' })
  })

  it('says that a teacher waits, that it is closed, and whether one was right', () => {
    sit({}, { nudged: true })
    expect(screen.getByText('Your teacher waits for your answer.')).toBeTruthy()
    document.body.innerHTML = ''
    sit(
      { open: false, results: { answers: 5, lines: [{ words: 'spring', count: 5 }] } },
      { answer: { picked: [0] }, right: true },
    )
    expect(screen.getByText(/That is right/)).toBeTruthy()
    expect(screen.getByText(/without names/)).toBeTruthy()
    expect(screen.queryByRole('button')).toBeNull()
    document.body.innerHTML = ''
    sit({ mayAnswer: false }, {})
    expect(screen.getByText(/you look on/)).toBeTruthy()
  })
})
