import { screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it } from 'vitest'
import type { LadderBody, LadderPage } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import LadderScreen from './LadderScreen'

const step: LadderBody['steps'][number] = {
  id: 'word',
  name: 'A word',
  measure: 'WORD',
  who: 'ANY_ADULT',
  halfDays: 14,
  minutes: 0,
  parents: false,
  opensIncident: false,
}

const PAGE: LadderPage = {
  ladder: {
    steps: [
      step,
      { ...step, id: 'curb', name: 'A right closed', measure: 'CURB', right: 'chat.class', minutes: 15, halfDays: 25 },
      { ...step, id: 'out', name: 'Out of this lesson', measure: 'OUT_OF_LESSON', halfDays: 45, parents: true },
    ],
    acts: [
      { id: 'noise', name: 'Noise', severity: 'SLIGHT', from: 1 },
      { id: 'insult', name: 'Insults', severity: 'MIDDLE', from: 2 },
    ],
    heavier: [],
  },
  years: [
    { year: 7, own: { steps: {}, from: {} }, heads: [] },
    {
      year: 8,
      own: { steps: { word: { halfDays: 7, parents: false } }, from: { insult: 3 } },
      heads: [{ id: 'orla', name: 'Orla Venn' }],
    },
  ],
  staff: [
    { id: 'orla', name: 'Orla Venn' },
    { id: 'tam', name: 'Tam Birket' },
  ],
}

async function opened(answers: object = {}) {
  const asked = serve({
    'GET /api/standing': standingOf('LEAD', 'Maren Oddlund'),
    'GET /api/ladder': PAGE,
    ...answers,
  })
  show(<LadderScreen />, '/ladder')
  await screen.findByRole('table', { name: 'Steps' })
  return () => asked.filter((one) => one.method === 'PUT')
}

const press = (name: string) => userEvent.click(screen.getByRole('button', { name }))

async function put(label: string, value: string) {
  const field = screen.getByLabelText(label)
  await userEvent.clear(field)
  await userEvent.type(field, value)
}

describe('the ladder of the school', () => {
  it('offers nothing to put in force until something is changed, and goes back to how it was', async () => {
    const sent = await opened()
    expect(screen.queryByRole('button', { name: 'Put in force' })).toBeNull()
    await put('Step 1, as adults call it', 'A quiet word')
    expect(screen.getByRole('button', { name: 'Put in force' })).toBeTruthy()
    await press('As it was')
    expect(screen.getByLabelText<HTMLInputElement>('Step 1, as adults call it').value).toBe('A word')
    expect(sent()).toEqual([])
  })

  it('sends a step with its name, who may take it, how it fades, and what it brings with it', async () => {
    const sent = await opened({ 'PUT /api/ladder': PAGE })
    await put('Step 3, as adults call it', 'Out')
    await userEvent.selectOptions(screen.getByRole('combobox', { name: 'Who may take step 3' }), 'LEADING_ADULT')
    await put('Days after which step 3 counts half', '60')
    await userEvent.click(screen.getByRole('checkbox', { name: 'Parents are told of step 3' }))
    await userEvent.click(screen.getByRole('checkbox', { name: 'Step 3 opens an incident' }))
    await press('Put in force')
    await expect
      .poll(() => (sent().at(0)?.body as LadderBody | undefined)?.steps[2])
      .toEqual({
        id: 'out',
        name: 'Out',
        measure: 'OUT_OF_LESSON',
        who: 'LEADING_ADULT',
        halfDays: 60,
        minutes: 0,
        parents: false,
        opensIncident: true,
      })
  })

  it('says of a step that closes a right which one, and for how long', async () => {
    const sent = await opened({ 'PUT /api/ladder': PAGE })
    expect(screen.queryByRole('combobox', { name: 'Which right step 1 closes' })).toBeNull()
    await userEvent.selectOptions(screen.getByRole('combobox', { name: 'Which right step 2 closes' }), 'share.draw')
    await put('Minutes of step 2', '5')
    await press('Put in force')
    await expect
      .poll(() => (sent().at(0)?.body as LadderBody | undefined)?.steps[1])
      .toMatchObject({ right: 'share.draw', minutes: 5 })
  })

  it('takes a step away, but never the last one, and the first cannot go up nor the last down', async () => {
    const sent = await opened({ 'PUT /api/ladder': PAGE })
    const disabled = (name: string) => screen.getByRole('button', { name }).hasAttribute('disabled')
    expect(disabled('Step 1 one up')).toBe(true)
    expect(disabled('Step 3 one down')).toBe(true)
    await press('Step 1 away')
    await press('Step 1 away')
    expect(disabled('Step 1 away')).toBe(true)
    await press('Put in force')
    expect(sent(), 'insults would stand at a step that is no more').toEqual([])
    await put('Insults stands at step', '1')
    await press('Put in force')
    await expect.poll(() => (sent().at(0)?.body as LadderBody | undefined)?.steps.map((one) => one.id)).toEqual(['out'])
  })

  it('has kinds of acts, each with its severity and the step where it stands, and new ones', async () => {
    const sent = await opened({ 'PUT /api/ladder': PAGE })
    await put('Kind 1', 'Noise and interrupting')
    await userEvent.selectOptions(screen.getByRole('combobox', { name: 'How grave is Insults' }), 'GRAVE')
    await put('Insults stands at step', '3')
    await press('Another kind of act')
    await put('Kind 3', 'Hiding')
    await userEvent.click(screen.getByRole('checkbox', { name: 'One step more before a visitor' }))
    await press('Put in force')
    await expect.poll(() => sent().length).toBe(1)
    const body = sent().at(0)?.body as LadderBody
    expect(body.acts.map((one) => [one.name, one.severity, one.from])).toEqual([
      ['Noise and interrupting', 'SLIGHT', 1],
      ['Insults', 'GRAVE', 3],
      ['Hiding', 'MIDDLE', 1],
    ])
    expect(body.heavier).toEqual(['visitor-present'])
  })

  it('that cannot be is said to be so, and what was written is still there', async () => {
    await opened({
      'PUT /api/ladder': {
        problem: {
          type: '/problems/not-readable',
          title: 'This ladder cannot be',
          status: 400,
          detail: 'A name has 1 to 80 characters',
          whatToDo: 'Change it, and save again.',
          wrong: [],
        },
      },
    })
    await put('Step 1, as adults call it', 'Hm')
    await press('Put in force')
    expect(await screen.findByText(/This ladder cannot be/)).toBeTruthy()
    expect(screen.getByLabelText<HTMLInputElement>('Step 1, as adults call it').value).toBe('Hm')
  })
})

describe('a year of the ladder', () => {
  const row = (year: string) => within(screen.getByRole('row', { name: new RegExp(`^${year} `) }))

  it('has a kind that stands elsewhere, and keeps how its steps fade', async () => {
    const sent = await opened({ 'PUT /api/ladder/years/8': PAGE, 'PUT /api/ladder/years/7': PAGE })
    await userEvent.selectOptions(row('8').getByRole('combobox', { name: /A kind that stands/ }), 'noise')
    await userEvent.selectOptions(row('7').getByRole('combobox', { name: /A kind that stands/ }), 'insult')
    await expect
      .poll(() => sent().map((one) => one.body))
      .toEqual([
        { steps: { word: { halfDays: 7, parents: false } }, from: { insult: 3, noise: 1 } },
        { steps: {}, from: { insult: 2 } },
      ])
  })

  it('stands as the school again by one press', async () => {
    const sent = await opened({ 'PUT /api/ladder/years/8': PAGE })
    await press('Insults in year 8 as in the school')
    await expect.poll(() => sent().at(0)?.body).toEqual({ steps: { word: { halfDays: 7, parents: false } }, from: {} })
  })

  it('gets another head and loses one, and nobody is offered twice', async () => {
    const sent = await opened({ 'PUT /api/ladder/years/8/heads': PAGE })
    const more = row('8').getByRole('combobox', { name: 'Another head of year 8' })
    expect(within(more).queryByRole('option', { name: 'Orla Venn' })).toBeNull()
    await userEvent.selectOptions(more, 'tam')
    await press('Orla Venn is no head of year 8 any more')
    await expect.poll(() => sent().map((one) => one.body)).toEqual([{ people: ['orla', 'tam'] }, { people: [] }])
  })
})
