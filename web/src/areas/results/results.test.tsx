import { screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import { serve, show, standingOf } from '../../shared/testing'
import { QuestionsOfClass } from '../questions/QuestionsOfClass'
import { WelcomeOf } from '../questions/WelcomeOf'
import BringScreen from '../bring/BringScreen'
import { MeritReasons } from './MeritReasons'
import { MeritsOfClass } from './MeritsOfClass'
import { MyMerits } from './MyMerits'
import { OfPupil } from './OfPupil'
import ResultsScreen from './ResultsScreen'

const ask = { kind: 'SINGLE', text: 'Which tide?', choices: ['spring', 'neap'], right: [0], spellings: [], points: 1 }

describe('what was answered in a lesson', () => {
  const page = (more: object) => ({
    'GET /api/standing': standingOf('TEACHER'),
    'GET /api/lessons/l1/results': {
      lesson: 'l1',
      title: 'Tidal Navigation 8',
      starts: '2026-09-14T10:05:00Z',
      forgotten: false,
      questions: [],
      ...more,
    },
  })

  it('stands with its counts, and with names where they are seen', async () => {
    const results = {
      answers: 2,
      right: 1,
      lines: [
        { words: 'spring', count: 1, right: true },
        { words: 'neap', count: 1, right: false },
      ],
    }
    serve(
      page({
        questions: [
          {
            number: 3,
            ask,
            askedAt: '2026-09-14T10:20:00Z',
            named: true,
            results,
            answers: [{ id: 'ines', name: 'Ines Carrow', words: 'spring', right: true, seconds: 4 }],
          },
          { number: 9, ask: { ...ask, text: '' }, askedAt: '2026-09-14T10:30:00Z', named: false, results, answers: [] },
        ],
      }),
    )
    show(<ResultsScreen />, '/lessons/l1/results', '/lessons/:id/results')
    expect(await screen.findByText('1. Which tide?')).toBeTruthy()
    expect(screen.getByText('2. A spoken question')).toBeTruthy()
    expect(screen.getByText(/without names, as the rules had it/)).toBeTruthy()
    expect(screen.getByRole('link', { name: 'Ines Carrow' })).toBeTruthy()
  })

  it('says when nothing was asked, and when answers were erased', async () => {
    serve(page({ forgotten: true }))
    show(<ResultsScreen />, '/lessons/l1/results', '/lessons/:id/results')
    expect(await screen.findByText(/were erased/)).toBeTruthy()
    expect(screen.getByText(/Nothing was asked/)).toBeTruthy()
  })
})

describe('questions of a class', () => {
  const set = {
    id: 's1',
    name: 'Before the test',
    version: 4,
    by: 'Orla Venn',
    at: '2026-09-10T09:00:00Z',
    questions: [
      { id: 'q1', ask },
      { id: 'q2', ask: { kind: 'NUMBER', text: 'How deep?', choices: [], right: [], number: '3', spellings: [], points: 0 } },
    ],
  }
  const sets = { ofClass: 'c1', title: 'Tidal', editable: true, sets: [set] }
  const served = (more: Record<string, unknown> = {}) =>
    serve({
      'GET /api/classes/c1/question-sets': sets,
      'GET /api/classes/c1/questions/sums': [
        { question: 'q1', answers: 42, share: 0.62, low: 0.47, high: 0.75, tellsApart: 0.41, uncertain: false },
        { question: 'q2', answers: 6, share: 1, low: 0.61, high: 1, uncertain: true },
      ],
      ...more,
    })

  it('say what they came to over lessons, and how sure that is', async () => {
    served()
    show(<QuestionsOfClass id="c1" />)
    expect(await screen.findByText(/62 % of 42 answers \(47 % to 75 % is likely\)/)).toBeTruthy()
    expect(screen.getByText(/tells well apart who knows more \(0.41\)/)).toBeTruthy()
    expect(screen.getByText(/Too few answers to say more/)).toBeTruthy()
    expect(screen.getByRole('link', { name: 'QTI (without 1)' })).toBeTruthy()
  })

  it('are changed with the version that was seen, and one who was later is told', async () => {
    const asked = served({
      'PUT /api/classes/c1/question-sets/s1': {
        problem: {
          type: 't',
          title: 'Somebody has changed these questions meanwhile',
          status: 409,
          detail: 'd',
          whatToDo: 'w',
          wrong: [],
        },
      },
    })
    show(<QuestionsOfClass id="c1" />)
    await userEvent.click(await screen.findByRole('button', { name: 'Change' }))
    await userEvent.click((await screen.findAllByRole('button', { name: 'Leave it out' }))[1]!)
    await userEvent.click(screen.getByRole('button', { name: 'Keep them' }))
    expect(await screen.findByText(/changed these questions meanwhile/)).toBeTruthy()
    expect(asked.at(-1)?.body).toMatchObject({ version: 4, questions: [{ id: 'q1', ask: { text: 'Which tide?' } }] })
  })

  it('come from a file, with what of it is not taken', async () => {
    served({
      'POST /api/classes/c1/question-sets/file': {
        name: 'lamps',
        questions: [ask],
        leftOut: ['Line 3: “riddle” is no kind of question.'],
      },
      'POST /api/classes/c1/question-sets': sets,
    })
    show(<QuestionsOfClass id="c1" />)
    await userEvent.upload(await screen.findByLabelText(/Questions from a file/), new File(['x'], 'lamps.csv'))
    expect(await screen.findByText(/Line 3/)).toBeTruthy()
    expect((screen.getByLabelText('Name of the set') as HTMLInputElement).value).toBe('lamps')
    await userEvent.click(screen.getByRole('button', { name: 'Keep them' }))
    await vi.waitFor(() => expect(screen.queryByLabelText('Name of the set')).toBeNull())
  })

  it('are deleted only after a word, and copied to another class', async () => {
    const asked = served({
      'DELETE /api/classes/c1/question-sets/s1': { ...sets, sets: [] },
      'GET /api/classes': [{ id: 'c2', title: 'Harbour Law 8' }],
      'POST /api/classes/c1/question-sets/s1/copy?to=c2': { ...sets, title: 'Harbour Law 8' },
    })
    show(<QuestionsOfClass id="c1" />)
    await userEvent.click(await screen.findByRole('button', { name: 'Copy to…' }))
    await screen.findByRole('option', { name: 'Harbour Law 8' })
    await userEvent.selectOptions(screen.getByLabelText('To which class'), 'c2')
    expect(await screen.findByText('It is in Harbour Law 8 now.')).toBeTruthy()
    await userEvent.keyboard('{Escape}')
    await userEvent.click(await screen.findByRole('button', { name: 'Delete' }))
    await userEvent.click(await screen.findByRole('button', { name: 'Delete it' }))
    expect(await screen.findByText(/Nothing is prepared yet/)).toBeTruthy()
    expect(asked.filter((one) => one.method === 'DELETE')).toHaveLength(1)
  })
})

describe('merits over weeks', () => {
  it('of a class name quietly whom nobody has praised', async () => {
    serve({
      'GET /api/classes/c1/merits': {
        ofClass: 'c1',
        title: 'Tidal',
        weeks: 3,
        never: ['Jory Pell'],
        pupils: [
          { person: 'jory', name: 'Jory Pell', count: 0, byWeek: [0, 0, 0] },
          { person: 'ines', name: 'Ines Carrow', count: 3, byWeek: [0, 1, 2] },
        ],
      },
    })
    show(<MeritsOfClass id="c1" />)
    expect(await screen.findByText(/Only the adults of this class see that/)).toBeTruthy()
    expect(screen.getByText('· 1 2')).toBeTruthy()
  })

  it('of a pupil and of oneself tell what for', async () => {
    const one = { lesson: 'l1', title: 'Tidal', at: '2026-09-10T10:00:00Z', reason: 'courage', by: 'Orla Venn' }
    serve({
      'GET /api/pupils/p1/merits': [one],
      'GET /api/pupils/p1/answers': [
        { lesson: 'l1', title: 'Tidal', starts: '2026-09-10T10:00:00Z', question: 'Which tide?', answer: 'spring', right: true },
      ],
      'GET /api/my-merits': [one],
    })
    show(<OfPupil person="p1" />)
    expect(await screen.findByText(/1 of 1 were right/)).toBeTruthy()
    expect(screen.getByText(/courage/)).toBeTruthy()
    show(<MyMerits />)
    expect(await screen.findByText('Your merits')).toBeTruthy()
  })

  it('have reasons of the school’s own, written by the lead', async () => {
    const asked = serve({
      'GET /api/merit-reasons': { reasons: ['a good question'] },
      'PUT /api/merit-reasons': { reasons: ['courage'] },
    })
    show(<MeritReasons mayChange />)
    await userEvent.click(await screen.findByRole('button', { name: 'What merits are given for' }))
    const box = await screen.findByLabelText('Reasons')
    await userEvent.clear(box)
    await userEvent.type(box, 'courage')
    await userEvent.click(screen.getByRole('button', { name: 'Keep the list' }))
    await vi.waitFor(() => expect(asked.at(-1)?.body).toEqual({ reasons: ['courage'] }))
  })
})

describe('beside the lesson', () => {
  it('a welcome is written for a class', async () => {
    const asked = serve({
      'GET /api/classes/c1/welcome': {},
      'PUT /api/classes/c1/welcome': { own: { text: 'Hello', by: 'Orla Venn', at: '2026-09-14T09:00:00Z' } },
    })
    show(<WelcomeOf path="/api/classes/c1/welcome" />)
    await userEvent.type(await screen.findByLabelText('Welcome'), 'Hello')
    await userEvent.click(screen.getByRole('button', { name: 'Keep the welcome' }))
    expect(await screen.findByText(/Orla Venn/)).toBeTruthy()
    expect(asked.at(-1)?.body).toEqual({ text: 'Hello' })
  })

  it('a phone brings one picture, and an old link says so', async () => {
    serve({ 'GET /api/bring/abc': { title: 'Tidal' }, 'POST /api/bring/abc': { title: 'Tidal' } })
    show(<BringScreen />, '/bring/abc', '/bring/:word')
    await userEvent.upload(
      await screen.findByLabelText('Take or choose a picture'),
      new File(['x'], 'p.png', { type: 'image/png' }),
    )
    expect(await screen.findByText('It is on the board')).toBeTruthy()
    serve({ 'GET /api/bring/old': { problem: { type: 't', title: 't', status: 404, detail: 'd', whatToDo: 'w', wrong: [] } } })
    show(<BringScreen />, '/bring/old', '/bring/:word')
    expect(await screen.findByText('This link is of no use any more')).toBeTruthy()
  })
})
