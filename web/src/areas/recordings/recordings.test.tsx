import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { OneRecording, Played, RecordingLine } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import ConsentsScreen from './ConsentsScreen'
import PlayerScreen from './PlayerScreen'
import RecordingScreen from './RecordingScreen'
import RecordingsScreen from './RecordingsScreen'
import { boardAt, captionAt, found, segmentAt, transcript } from './transcript'
import { joined } from './usePlayed'
import { length, spoken } from './words'

beforeEach(() => {
  vi.spyOn(HTMLMediaElement.prototype, 'play').mockResolvedValue()
  vi.spyOn(HTMLMediaElement.prototype, 'pause').mockReturnValue()
})

const PLAYED: Played = {
  id: 'tidal',
  title: 'Tidal Navigation 8',
  begun: '2026-09-14T10:05:00Z',
  lengthMs: 600_000,
  keptUntil: '2026-10-26T10:00:00Z',
  mayTakeCopy: false,
  voices: [{ name: 'Orla Venn', isAdult: true, heard: [{ fromMs: 0, untilMs: 60_000 }] }],
  captions: [{ atMs: 20_000, name: 'Tam Birket', text: 'High water is at noon & at midnight' }],
  words: [{ atMs: 40_000, name: 'Cato Everly', text: 'at 04:52?' }],
  pages: [
    {
      strokes: [
        {
          fromMs: 10_000,
          untilMs: 90_000,
          drawing: { shape: 'PEN' as const, ink: 'INK' as const, width: 2, points: [0, 0, 9, 9], text: '' },
        },
      ],
    },
  ],
  handouts: [{ atMs: 5000, title: 'Chart 7', body: 'page 4' }],
  polls: [{ atMs: 50_000, question: 'Which tide?', counts: [{ words: 'spring', count: 5 }] }],
  stances: [{ atMs: 0, name: 'Settling' }],
  segments: [
    { atMs: 0, from: '2026-09-14T10:05:00Z', until: '2026-09-14T10:10:00Z' },
    { atMs: 300_000, from: '2026-09-14T10:15:00Z', until: '2026-09-14T10:20:00Z' },
  ],
  gaps: [{ atMs: 300_000, says: 'paused: somebody confides', from: '2026-09-14T10:10:00Z', until: '2026-09-14T10:15:00Z' }],
  leftOut: 2,
  isAhead: false,
}

describe('what is on the one time line', () => {
  it('puts captions, words, what was handed out and what is missing in order, and finds words in them', () => {
    const lines = transcript(PLAYED)
    expect(lines.map((one) => one.kind)).toEqual(['stance', 'handout', 'caption', 'words', 'poll', 'gap'])
    expect(found(lines, 'NOON high')).toHaveLength(1)
    expect(found(lines, 'cato')).toHaveLength(1)
    expect(found(lines, ' ')).toHaveLength(6)
  })

  it('knows the segments, the caption and the board of a moment', () => {
    expect(segmentAt(PLAYED, 0, 1)).toBe(300_000)
    expect(segmentAt(PLAYED, 300_000, 1)).toBeUndefined()
    expect(segmentAt(PLAYED, 310_000, -1)).toBe(300_000)
    expect(segmentAt(PLAYED, 301_000, -1)).toBe(0)
    expect(captionAt(PLAYED, 21_000)).toContain('High water')
    expect(captionAt(PLAYED, 28_000)).toBe('')
    expect(boardAt(PLAYED, 9999)).toHaveLength(0)
    expect(boardAt(PLAYED, 10_000)).toHaveLength(1)
    expect(boardAt(PLAYED, 90_000)).toHaveLength(0)
  })

  it('counts only what was played without a jump', () => {
    let pieces = joined([], 0, 250, 1)
    pieces = joined(pieces, 250, 500, 1)
    expect(pieces).toEqual([{ fromMs: 0, untilMs: 500 }])
    expect(joined(pieces, 500, 60_000, 1)).toEqual(pieces)
    expect(joined(pieces, 500, 3000, 2)).toEqual([{ fromMs: 0, untilMs: 3000 }])
    expect(joined(pieces, 9000, 9250, 1)).toHaveLength(2)
  })

  it('tells lengths as people do', () => {
    expect(length(65)).toBe('1:05')
    expect(length(3725)).toBe('1:02:05')
    expect(spoken(40)).toBe('40 s')
    expect(spoken(300)).toBe('5 min')
  })
})

describe('the player', () => {
  function player(more: Partial<Played> = {}) {
    const asked = serve({
      'GET /api/standing': standingOf('PUPIL', 'Ines Carrow'),
      'GET /api/recordings/tidal/playback': { ...PLAYED, ...more },
      'POST /api/recordings/tidal/watched': { watchedMs: 0, percent: 0 },
    })
    show(<PlayerScreen />, '/recordings/tidal/watch', '/recordings/:id/watch')
    return asked
  }

  it('goes to a line, to the next segment and ten seconds on, by pointer and by keys', async () => {
    player()
    await userEvent.click(await screen.findByRole('button', { name: /at 04:52/ }))
    expect(screen.getByRole('slider').getAttribute('aria-valuenow')).toBe('40')
    await userEvent.keyboard('{ArrowRight}')
    expect(screen.getByRole('slider').getAttribute('aria-valuenow')).toBe('50')
    await userEvent.keyboard('n')
    expect(screen.getByRole('slider').getAttribute('aria-valuetext')).toBe('5:00 of 10:00')
    await userEvent.keyboard('p')
    expect(screen.getByRole('slider').getAttribute('aria-valuenow')).toBe('0')
    screen.getByRole('slider').focus()
    await userEvent.keyboard('{End}')
    expect(screen.getByRole('slider').getAttribute('aria-valuenow')).toBe('600')
  })

  it('shows who is left out without a name, and hides captions on wish', async () => {
    player()
    expect(await screen.findByText(/2 people are left out of it/)).toBeTruthy()
    const captions = screen.getByRole('button', { name: /Captions on/ })
    await userEvent.click(captions)
    expect(screen.getByRole('button', { name: /Captions off/ })).toBeTruthy()
  })

  it('searches in what was said and written', async () => {
    player()
    await userEvent.type(await screen.findByLabelText('Search in what was said and written'), 'chart')
    expect(screen.getByText('1 found')).toBeTruthy()
    expect(within(screen.getByRole('list', { name: 'Lines' })).getAllByRole('button')).toHaveLength(1)
  })

  it('says what became of one that was deleted', async () => {
    serve({
      'GET /api/standing': standingOf('PUPIL'),
      'GET /api/recordings/tidal/playback': {
        problem: { title: 'This recording was deleted', status: 409, detail: 'Nothing is kept.', whatToDo: '', wrong: [] },
      },
    })
    show(<PlayerScreen />, '/recordings/tidal/watch', '/recordings/:id/watch')
    expect((await screen.findByRole('alert')).textContent).toContain('This recording was deleted')
  })
})

const LINE: RecordingLine = {
  id: 'tidal',
  lesson: 'tidal',
  classId: 'c',
  title: 'Tidal Navigation 8',
  begun: '2026-09-14T10:05:00Z',
  isGoingOn: false,
  isAhead: false,
  lengthSeconds: 2700,
  requiredSeconds: 3000,
  coveredSeconds: 2700,
  missing: [{ cause: 'PAUSED', seconds: 300 }],
  keptUntil: '2026-10-26T10:00:00Z',
  isExtended: false,
  asks: 1,
}

it('the list says what had to be recorded, what is missing and why, and who waits for an answer', async () => {
  serve({
    'GET /api/standing': standingOf('LEAD', 'Maren Oddlund'),
    'GET /api/recordings?from=&until=&ofClass=': {
      from: '2026-08-17',
      until: '2026-09-14',
      sum: { lessons: 2, whole: 0, requiredMinutes: 100, coveredMinutes: 45, missing: [{ cause: 'PAUSED', seconds: 300 }] },
      isCut: true,
      lines: [
        LINE,
        { ...LINE, id: undefined, lesson: 'other', title: 'Harbour Law 9', lengthSeconds: 0, coveredSeconds: 0, asks: 0 },
      ],
    },
  })
  show(<RecordingsScreen />)

  expect(await screen.findByText('0 of 2')).toBeTruthy()
  expect(screen.getByText('55 of 100 min')).toBeTruthy()
  expect(screen.getAllByText('paused 5 min')).toHaveLength(3)
  expect(screen.getByText('1 asks to watch')).toBeTruthy()
  expect(screen.getByRole('img', { name: '90 % of what had to be recorded was recorded' })).toBeTruthy()
  expect(screen.getByRole('link', { name: 'Harbour Law 9' }).getAttribute('href')).toBe('/lessons/other/replay')
  expect(screen.getByText(/Only the latest 1,000 recordings are listed/)).toBeTruthy()
})

function one(more: Partial<OneRecording> = {}): OneRecording {
  return {
    id: 'tidal',
    title: 'Tidal Navigation 8',
    begun: '2026-09-14T10:05:00Z',
    lengthSeconds: 2700,
    isAhead: false,
    watch: 'YES',
    copy: 'NO',
    isAsked: false,
    keptUntil: '2026-10-26T10:00:00Z',
    ...more,
  }
}

const ADULT: NonNullable<OneRecording['adult']> = {
  classId: 'c',
  lesson: 'tidal',
  where: 'with the recorder',
  extendedWhy: '',
  extendedBy: '',
  erasedWhy: '',
  isHeld: false,
  wishes: [{ id: 4, name: 'Ines Carrow', copy: false, why: 'I was ill', at: '2026-09-15T08:00:00Z', isAnswered: false }],
  watchers: [
    { name: 'Ines Carrow', percent: 40 },
    { name: 'Jory Pell', percent: 0 },
  ],
}

describe('one recording', () => {
  it('a pupil who may only ask asks with what for', async () => {
    const asked = serve({
      'GET /api/standing': standingOf('PUPIL'),
      'GET /api/recordings/tidal': one({ watch: 'ASK' }),
      'POST /api/recordings/tidal/wishes': {},
    })
    show(<RecordingScreen />, '/recordings/tidal', '/recordings/:id')
    await userEvent.click(await screen.findByRole('button', { name: 'Ask to watch it' }))
    await userEvent.type(await screen.findByLabelText('What for?'), 'I was ill')
    await userEvent.click(screen.getByRole('button', { name: 'Ask' }))
    await waitFor(() => expect(asked.find((each) => each.method === 'POST')?.body).toEqual({ copy: false, why: 'I was ill' }))
  })

  it('an adult answers who asks and sees who has watched', async () => {
    const asked = serve({
      'GET /api/standing': standingOf('TEACHER'),
      'GET /api/recordings/tidal': one({ adult: ADULT }),
      'PUT /api/recordings/tidal/wishes/4': one({ adult: ADULT }),
    })
    show(<RecordingScreen />, '/recordings/tidal', '/recordings/:id')
    expect(await screen.findByText('Who has watched: 1 of 2')).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'Keep it longer' })).toBeNull()
    await userEvent.click(screen.getByRole('button', { name: 'Let for 14 days' }))
    await waitFor(() => expect(asked.find((each) => each.method === 'PUT')?.body).toEqual({ days: 14 }))
  })

  it('the lead has it deleted only with a reason, after a word of warning', async () => {
    const asked = serve({
      'GET /api/standing': standingOf('LEAD'),
      'GET /api/recordings/tidal': one({ adult: ADULT }),
      'DELETE /api/recordings/tidal?why=asked%20by%20the%20family': one({ erasedAt: '2026-09-15T09:00:00Z' }),
    })
    show(<RecordingScreen />, '/recordings/tidal', '/recordings/:id')
    await userEvent.click(await screen.findByRole('button', { name: 'Delete it now' }))
    expect(await screen.findByText(/Nothing can bring it back/)).toBeTruthy()
    await userEvent.type(screen.getByLabelText('Why'), 'asked by the family')
    await userEvent.click(screen.getByRole('button', { name: 'Delete it' }))
    expect(await screen.findByText(/Deleted on Tuesday 15 September/)).toBeTruthy()
    expect(asked.some((each) => each.method === 'DELETE')).toBe(true)
  })
})

describe('who may be recorded', () => {
  const page = {
    given: 1,
    refused: 1,
    withdrawn: 0,
    unknown: 0,
    pupils: [
      {
        person: 'jory',
        name: 'Jory Pell',
        classes: ['Tidal'],
        standing: 'REFUSED',
        giver: 'PARENT',
        paper: 'letter',
        since: '2026-09-01',
      },
      {
        person: 'ines',
        name: 'Ines Carrow',
        classes: ['Tidal'],
        standing: 'GIVEN',
        giver: 'PARENT',
        paper: '',
        since: '2026-09-01',
      },
    ],
  }

  it('is found by name or by how it stands, and a word is noted beside the old ones', async () => {
    const asked = serve({
      'GET /api/standing': standingOf('LEAD'),
      'GET /api/consents?ofClass=': page,
      'GET /api/consents/people/jory': [
        {
          said: 'REFUSED',
          giver: 'PARENT',
          paper: 'letter',
          from: '2026-09-01',
          at: '2026-09-01T08:00:00Z',
          by: 'Maren Oddlund',
        },
      ],
      'POST /api/consents/people/jory': [],
    })
    show(<ConsentsScreen />)
    await userEvent.selectOptions(await screen.findByLabelText('Only those who'), 'refused')
    expect(screen.queryByText('Ines Carrow')).toBeNull()
    await userEvent.click(screen.getByRole('button', { name: 'Note a word' }))
    expect(await screen.findByText('Is not to be recorded', { selector: 'strong' })).toBeTruthy()
    await userEvent.selectOptions(screen.getByLabelText('What was said'), 'WITHDRAWN')
    expect(screen.getByText(/left out of what is watched and downloaded/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Note it' }))
    await waitFor(() =>
      expect(asked.find((each) => each.method === 'POST')?.body).toEqual({ said: 'WITHDRAWN', giver: 'PARENT', paper: '' }),
    )
  })

  it('a teacher reads, and notes nothing', async () => {
    serve({ 'GET /api/standing': standingOf('TEACHER'), 'GET /api/consents?ofClass=': page })
    show(<ConsentsScreen />)
    expect(await screen.findAllByRole('button', { name: 'What was said' })).toHaveLength(2)
    expect(screen.queryByText('Take consents from a file')).toBeNull()
  })
})
