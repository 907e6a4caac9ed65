import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import type { ClassPage, ConsentPreview, MyRecording, OneRecording, RecordingLine } from '../../shared/api/types'
import { serve, show } from '../../shared/testing'
import { Recorded } from '../classes/Recorded'
import { MyRecordings } from '../today/MyRecordings'
import { ConsentImport } from './ConsentImport'
import { ShowToClass } from './ShowToClass'

const LINE: RecordingLine = {
  id: 'storm',
  ofClass: 'tidal',
  classTitle: 'Tidal Navigation 8',
  title: 'Before the storm',
  begun: '2026-09-14T10:05:00Z',
  isAhead: true,
  isGoingOn: false,
  lengthSeconds: 600,
  requiredSeconds: 0,
  coveredSeconds: 0,
  missing: [],
  isExtended: false,
  asks: 0,
} as unknown as RecordingLine

const PAGE = { id: 'tidal', title: 'Tidal Navigation 8', mine: true } as unknown as ClassPage

function listed(...lines: RecordingLine[]) {
  return {
    'GET /api/recordings?ofClass=tidal': {
      sum: { lessons: 0, whole: 0, requiredMinutes: 0, coveredMinutes: 0, missing: [] },
      lines,
    },
  }
}

describe('what was recorded of a class', () => {
  it('tells what there is, what became of it and what was not recorded that had to be', async () => {
    serve(
      listed(
        LINE,
        { ...LINE, id: 'old', isAhead: false, erasedAt: '2026-09-13T01:00:00Z' },
        { ...LINE, id: undefined, lesson: 'missed', isAhead: false },
      ),
    )
    show(<Recorded page={PAGE} />)

    expect((await screen.findByRole('link', { name: 'Before the storm' })).getAttribute('href')).toBe('/recordings/storm')
    expect(screen.getByText('deleted')).toBeTruthy()
    expect(screen.getByText('Had to be recorded, and was not')).toBeTruthy()
    expect(screen.getByRole('link', { name: 'Who may be recorded' }).getAttribute('href')).toBe('/consents?ofClass=tidal')
  })

  it('begins to record ahead, and says it while it goes on', async () => {
    const asked = serve({ ...listed(), 'POST /api/classes/tidal/recordings': { recording: 'storm' } })
    show(<Recorded page={PAGE} />)
    expect(await screen.findByText(/Nothing was recorded of this class/)).toBeTruthy()
    await userEvent.type(screen.getByLabelText('What it is about'), 'Before the storm')
    await userEvent.click(screen.getByRole('button', { name: 'Begin to record' }))
    await waitFor(() => expect(asked.find((each) => each.method === 'POST')?.body).toEqual({ title: 'Before the storm' }))
  })

  it('ends it, and leads to when the class sees it', async () => {
    serve({ ...listed({ ...LINE, isGoingOn: true }), 'POST /api/recordings/storm/end': { recording: 'storm' } })
    show(<Recorded page={PAGE} />)
    expect(await screen.findByText('“Before the storm” is being recorded')).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'End it' }))
    expect((await screen.findByRole('link', { name: 'Choose when the class sees it' })).getAttribute('href')).toBe(
      '/recordings/storm',
    )
  })

  it('offers nothing to record to who is not of the class', async () => {
    serve(listed(LINE))
    show(<Recorded page={{ ...PAGE, mine: false }} />)
    expect(await screen.findByText('Before the storm')).toBeTruthy()
    expect(screen.queryByRole('region', { name: 'Record ahead' })).toBeNull()
  })

  it('tells why the list is not there', async () => {
    serve({
      'GET /api/recordings?ofClass=tidal': {
        problem: { status: 403, title: 'This is for adults of the class', whatToDo: 'Ask one of them.', wrong: [] },
      },
    })
    show(<Recorded page={PAGE} />)
    expect((await screen.findByRole('alert')).textContent).toContain('This is for adults of the class')
  })
})

describe('what was recorded ahead is shown to the class', () => {
  const adult = { classId: 'tidal' } as NonNullable<OneRecording['adult']>
  const lessons = {
    'GET /api/classes/tidal': { lessons: [{ id: 'monday', starts: '2026-09-21T10:05:00Z' }] },
  }

  it('from a day and hour until a day, and counts in the register of a lesson', async () => {
    const asked = serve({ ...lessons, 'PUT /api/recordings/storm/shown': {} })
    show(<ShowToClass id="storm" path="/api/recordings/storm" adult={adult} />)
    expect(screen.getByText('Nobody of the class sees it yet.')).toBeTruthy()
    await userEvent.type(screen.getByLabelText('From'), '2026-09-21')
    await userEvent.type(screen.getByLabelText('Until the end of'), '2026-09-25')
    await screen.findByRole('option', { name: /21 September/ })
    await userEvent.selectOptions(screen.getByLabelText('Counts in the register of'), 'monday')
    await userEvent.click(screen.getByRole('button', { name: 'Show it to the class' }))
    await waitFor(() =>
      expect(asked.find((each) => each.method === 'PUT')?.body).toEqual({
        from: '2026-09-21T08:00',
        until: '2026-09-25',
        forLesson: 'monday',
      }),
    )
  })

  it('and can be taken back', async () => {
    const asked = serve({ ...lessons, 'PUT /api/recordings/storm/shown': {} })
    const shown = { ...adult, shownFrom: '2026-09-21T08:00:00Z', shownUntil: '2026-09-25T23:00:00Z' }
    show(<ShowToClass id="storm" path="/api/recordings/storm" adult={shown} />)
    expect(screen.getByText(/From Monday 21 September, 08:00, until Friday 25 September/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Take it back' }))
    await waitFor(() => expect(asked.find((each) => each.method === 'PUT')?.body).toEqual({}))
  })

  it('says what is wrong with the days', async () => {
    serve({
      ...lessons,
      'PUT /api/recordings/storm/shown': {
        problem: { status: 400, title: 'It would end before it begins', whatToDo: 'Choose a later day.', wrong: [] },
      },
    })
    show(<ShowToClass id="storm" path="/api/recordings/storm" adult={adult} />)
    await userEvent.type(screen.getByLabelText('From'), '2026-09-21')
    await userEvent.type(screen.getByLabelText('Until the end of'), '2026-09-01')
    await userEvent.click(screen.getByRole('button', { name: 'Show it to the class' }))
    expect((await screen.findByRole('alert')).textContent).toContain('It would end before it begins')
  })
})

describe('what a pupil may watch', () => {
  const mine = (n: number, more: Partial<MyRecording> = {}): MyRecording =>
    ({
      id: `r${n}`,
      title: `Recording ${n}`,
      begun: '2026-09-14T10:05:00Z',
      lengthSeconds: 600,
      watch: 'YES',
      isAsked: false,
      watchedPercent: 10 * n,
      ...more,
    }) as MyRecording

  it('is four at first, leads to the player or to asking, and tells how much was watched', async () => {
    serve({
      'GET /api/recordings/mine': [
        mine(1),
        mine(2, { watch: 'ASK' }),
        mine(3, { watch: 'ASK', isAsked: true }),
        mine(4, { until: '2026-09-20T10:00:00Z' }),
        mine(5),
      ],
    })
    show(<MyRecordings />)
    const section = within(await screen.findByRole('region', { name: 'Recordings you may watch' }))
    expect(section.getByRole('link', { name: 'Recording 1' }).getAttribute('href')).toBe('/recordings/r1/watch')
    expect(section.getByRole('link', { name: 'Recording 2' }).getAttribute('href')).toBe('/recordings/r2')
    expect(section.getByText('ask to watch it')).toBeTruthy()
    expect(section.getByText('you have asked')).toBeTruthy()
    expect(section.getByText('10 % watched')).toBeTruthy()
    expect(section.queryByText('Recording 5')).toBeNull()
    await userEvent.click(section.getByRole('button', { name: '1 more' }))
    expect(section.getByText('50 % watched')).toBeTruthy()
  })

  it('takes no room while there is nothing', async () => {
    const asked = serve({ 'GET /api/recordings/mine': [] })
    show(<MyRecordings />)
    await waitFor(() => expect(asked).toHaveLength(1))
    expect(screen.queryByText('To watch')).toBeNull()
  })
})

describe('consents from a file', () => {
  const file = new File(['Name,Consent\nInes Carrow,given\n'], 'consents.csv', { type: 'text/csv' })
  const preview = {
    fingerprint: 'f 1',
    encoding: 'UTF-8',
    encodingGuessed: false,
    asTheyWere: 11,
    noted: [{ name: 'Ines Carrow', was: 'UNKNOWN', becomes: 'GIVEN', from: '2026-09-01', until: '2027-07-31' }],
    wrong: [{ line: 3, what: '“Nobody Known” is no pupil of this school' }],
  } as unknown as ConsentPreview

  it('are shown before they are noted, with what is left out and why', async () => {
    const asked = serve({
      'POST /api/consents/import/preview': preview,
      'POST /api/consents/import?fingerprint=f%201': preview,
    })
    show(<ConsentImport />)
    await userEvent.upload(screen.getByLabelText('Consent file'), file)
    const shown = within(await screen.findByRole('region', { name: 'What the file would note' }))
    expect(shown.getByText(/may be recorded from 2026-09-01 until 2027-07-31/)).toBeTruthy()
    expect(shown.getByText('(now: nothing is known)')).toBeTruthy()
    expect(shown.getByText('1 row is left out')).toBeTruthy()
    expect(asked).toHaveLength(1)
    await userEvent.click(shown.getByRole('button', { name: 'Note these 1' }))
    expect((await screen.findByRole('status')).textContent).toBe('1 were noted.')
    expect(screen.queryByRole('region', { name: 'What the file would note' })).toBeNull()
  })

  it('can be left, and a file that changes nothing can not be noted', async () => {
    serve({ 'POST /api/consents/import/preview': { ...preview, noted: [], wrong: [], encodingGuessed: true } })
    show(<ConsentImport />)
    await userEvent.upload(screen.getByLabelText('Consent file'), file)
    expect(((await screen.findByRole('button', { name: 'Nothing to note' })) as HTMLButtonElement).disabled).toBe(true)
    expect(screen.getByText(/for it is not UTF-8/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Leave it' }))
    expect(screen.queryByRole('region', { name: 'What the file would note' })).toBeNull()
  })

  it('a file that cannot be read says so', async () => {
    vi.spyOn(console, 'error').mockReturnValue()
    serve({
      'POST /api/consents/import/preview': {
        problem: { status: 400, title: 'A column is missing: Consent', whatToDo: 'Give it a heading.', wrong: [] },
      },
    })
    show(<ConsentImport />)
    await userEvent.upload(screen.getByLabelText('Consent file'), file)
    expect((await screen.findByRole('alert')).textContent).toContain('A column is missing: Consent')
  })
})
