import { fireEvent, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it } from 'vitest'
import type { CasebookPage, IncidentLine, PackChecked } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import CasebookScreen from './CasebookScreen'
import EvidenceScreen from './EvidenceScreen'

const LEAD = { 'GET /api/standing': standingOf('LEAD', 'Maren Oddlund') }

const CHECKED: PackChecked = {
  whole: true,
  ours: true,
  school: 'Halvorn Reach School',
  incident: 38,
  title: 'Insults',
  made: '2026-09-14T10:00:00Z',
  by: 'Maren Oddlund',
  coveredFor: '',
  fingerprint: 'ab12 cd34 ef56 7890',
  coveredParts: 0,
  wrong: [],
  files: [
    { name: 'incident.json', about: 'the incident', lines: 12, shown: true },
    { name: 'lesson-1/record.json', about: 'the record', lines: 47, shown: false },
  ],
}

const PACK = new File(['x'], 'pack.zip', { type: 'application/zip' })

describe('a pack that is checked', () => {
  async function checked(answer: object) {
    serve({
      ...LEAD,
      'GET /api/evidence/key': { key: 'MCow', fingerprint: 'ab12 cd34 ef56 7890' },
      'POST /api/evidence/check': answer,
    })
    show(<EvidenceScreen />, '/casebook/evidence')
    await userEvent.upload(await screen.findByLabelText('A pack to be checked'), PACK)
    return screen.findByRole('status', { name: 'What was found' })
  }

  it('is whole and ours, with what is in it', async () => {
    const found = await checked(CHECKED)
    expect(found.textContent).toContain('It is whole, and ours')
    expect(found.textContent).toContain('incident No. 38: Insults. Made 2026-09-14 10:00 by Maren Oddlund.')
    expect(
      within(found)
        .getAllByRole('listitem')
        .map((one) => one.textContent),
    ).toEqual(['incident.jsonthe incident12 lines', 'lesson-1/record.jsonthe recordcovered'])
  })

  it('is of another school, whose key is named', async () => {
    const found = await checked({ ...CHECKED, ours: false, fingerprint: '99aa 00bb' })
    expect(found.textContent).toContain('It is whole, but not of this school: it was signed with the key 99aa 00bb.')
  })

  it('is a copy for the parents of one pupil', async () => {
    const found = await checked({ ...CHECKED, coveredFor: 'Zeb Corran', coveredParts: 31 })
    expect(found.textContent).toContain('as a copy for the parents of Zeb Corran: 31 parts are covered')
  })

  it('is no pack at all, and nothing of an incident is claimed', async () => {
    const found = await checked({ ...CHECKED, whole: false, incident: 0, files: [], wrong: ['This is no evidence pack'] })
    expect(found.textContent).toContain('It is not whole.')
    expect(found.textContent).toContain('This is no evidence pack')
    expect(found.textContent).not.toContain('Made')
  })

  it('can be dropped on the page, and what goes wrong is said', async () => {
    serve({
      ...LEAD,
      'GET /api/evidence/key': { key: 'MCow', fingerprint: 'ab12' },
      'POST /api/evidence/check': {
        problem: {
          type: '/problems/too-large',
          title: 'The pack is too large for this page',
          status: 413,
          detail: 'It has more than 32 MB.',
          whatToDo: 'Check it with ./juricast verify.',
          wrong: [],
        },
      },
    })
    show(<EvidenceScreen />, '/casebook/evidence')
    fireEvent.drop(await screen.findByText('or drop it here.'), { dataTransfer: { files: [PACK] } })
    expect(await screen.findByText(/The pack is too large for this page/)).toBeTruthy()
    expect(screen.queryByRole('status', { name: 'What was found' })).toBeNull()
  })
})

describe('the list of incidents', () => {
  const line: IncidentLine = {
    number: 38,
    title: 'Insults',
    act: 'Insults',
    severity: 'GRAVE',
    origin: 'STEP',
    leadOnly: true,
    classTitle: 'Tidal Navigation 8',
    moment: '2026-09-14T10:11:00Z',
    open: true,
    highest: 5,
    did: [],
    suffered: ['Mira Solberg'],
  }
  const page: CasebookPage = { lines: [line], more: false, todos: [], open: 1, acts: [] }
  const at = (find: string, open: boolean, before = '2147483647') =>
    `GET /api/casebook?find=${find}&open=${open}&before=${before}`

  it('says who suffered where nobody knows who did it, how grave it is, and who may read it', async () => {
    serve({ ...LEAD, [at('', false)]: page })
    show(<CasebookScreen />, '/casebook')
    const row = await screen.findByRole('row', { name: /Insults/ })
    expect(row.textContent).toContain('suffered by Mira Solberg')
    expect(row.textContent).toContain('grave · for leads alone')
    expect(row.textContent).toContain('open · step 5')
    expect(screen.getByText('Nothing is waiting.')).toBeTruthy()
  })

  it('goes on with older ones, and shows only what is open from the newest again', async () => {
    serve({
      ...LEAD,
      [at('', false)]: { ...page, more: true },
      [at('', false, '38')]: { ...page, lines: [{ ...line, number: 12, title: 'Noise', open: false, highest: 0 }] },
      [at('', true)]: page,
    })
    show(<CasebookScreen />, '/casebook')
    await userEvent.click(await screen.findByRole('button', { name: 'Older ones' }))
    expect((await screen.findByRole('row', { name: /Noise/ })).textContent).toContain('closed')
    await userEvent.click(screen.getByRole('checkbox', { name: 'only what is open' }))
    expect(await screen.findByRole('row', { name: /Insults/ })).toBeTruthy()
    expect(screen.queryByRole('row', { name: /Noise/ })).toBeNull()
  })

  it('that is searched is all there again by one press', async () => {
    serve({ ...LEAD, [at('', false)]: page, [at('kelp', false)]: { ...page, lines: [] } })
    show(<CasebookScreen />, '/casebook?find=kelp')
    expect(await screen.findByText(/Nothing was found that you may read/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'all again' }))
    expect(await screen.findByRole('row', { name: /Insults/ })).toBeTruthy()
    expect(screen.getByLabelText<HTMLInputElement>('Find by names, words or kinds').value).toBe('')
  })

  it('of a teacher says where things come from, and has no pages that are for leads', async () => {
    serve({ 'GET /api/standing': standingOf('TEACHER'), [at('', false)]: { ...page, lines: [], open: 0 } })
    show(<CasebookScreen />, '/casebook')
    expect(await screen.findByText(/come here by themselves/)).toBeTruthy()
    expect(screen.getByText('nothing is open')).toBeTruthy()
    expect(screen.getByRole('heading', { name: 'Yours to do' })).toBeTruthy()
    expect(screen.getByRole('link', { name: 'Check an evidence pack' })).toBeTruthy()
    expect(screen.queryByRole('link', { name: 'Are like acts met alike?' })).toBeNull()
    expect(screen.queryByRole('link', { name: 'Patterns across classes' })).toBeNull()
  })

  it('that cannot be read now says so', async () => {
    serve({
      ...LEAD,
      [at('', false)]: {
        problem: { type: 'x', title: 'The casebook is damaged', status: 500, detail: 'A.', whatToDo: 'B.', wrong: [] },
      },
    })
    show(<CasebookScreen />, '/casebook')
    expect(await screen.findByText(/The casebook is damaged/)).toBeTruthy()
  })
})
