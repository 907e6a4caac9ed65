import { fireEvent, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import type { LessonLine, MyDay, MyLesson, NextLesson, WorkingDay } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import TodayScreen from './TodayScreen'

function lesson(title: string, minutesFromNow: number, more: Partial<LessonLine> = {}): LessonLine {
  const starts = Date.now() + minutesFromNow * 60_000
  return {
    id: title,
    classId: 'c',
    title,
    starts: new Date(starts).toISOString(),
    ends: new Date(starts + 50 * 60_000).toISOString(),
    phase: 'PLANNED',
    adults: ['Orla Venn'],
    pupils: 30,
    mine: true,
    ...more,
  }
}

const NOTHING = {
  'GET /api/casebook/mine': [],
  'GET /api/registers/unsigned': [],
  'GET /api/inspection/soon': [],
  'GET /api/working-day/covers': [],
  'GET /api/working-day/ahead': [],
  'GET /api/first-steps': [],
}

function today(
  position: 'LEAD' | 'TEACHER' | 'PUPIL',
  lessons: LessonLine[],
  day: Partial<WorkingDay> = {},
  more: Record<string, unknown> = {},
) {
  const now = new Date().toISOString()
  serve({
    'GET /api/standing': { ...standingOf(position), now },
    'GET /api/today': lessons,
    'GET /api/working-day': { now, waiting: [], ...day },
    ...NOTHING,
    ...more,
  })
  show(<TodayScreen />, '/today')
}

const next = (line: LessonLine, nearness: NextLesson['nearness']): NextLesson => ({
  id: line.id,
  title: line.title,
  starts: line.starts,
  ends: line.ends,
  nearness,
})

describe('today', () => {
  it('leads a teacher to the desk of the live lesson, to get ready for the next, and to the register of the last', async () => {
    today('TEACHER', [
      lesson('Past', -120, { phase: 'OVER' }),
      lesson('Live', -10, { phase: 'OPEN' }),
      lesson('Next', 20),
      lesson('Later', 200),
    ])

    expect((await screen.findByRole('link', { name: 'Register' })).getAttribute('href')).toBe('/lessons/Past/register')
    expect(screen.getByRole('link', { name: 'Go to the desk' }).getAttribute('href')).toBe('/lessons/Live/desk')
    expect(screen.getByRole('link', { name: 'Get ready' }).getAttribute('href')).toBe('/lessons/Next/desk')
    expect(screen.getByRole('link', { name: 'Look ahead' })).toBeTruthy()
  })

  it('puts the one lesson that is next first, with who waits at its door', async () => {
    const live = lesson('Tidal Navigation 8', -10, { phase: 'OPEN' })
    today('TEACHER', [live], { next: next(live, 'LIVE'), waiting: [{ duty: 'KNOCK', chapter: 'TODAY', count: 3 }] })

    const box = await screen.findByRole('region', { name: 'Your next lesson' })
    expect(within(box).getByText(/3 wait at the door/)).toBeTruthy()
    expect(within(box).getByRole('timer').textContent).toMatch(/^(39|40):\d\d$/)
    expect(within(box).getByRole('link', { name: 'Go to the desk' }).getAttribute('href')).toBe(`/lessons/${live.id}/desk`)
    expect(screen.getByRole('link', { name: /is live: to the desk/ })).toBeTruthy()
  })

  it('says a lesson that should run without a clock that counts down', async () => {
    const missed = lesson('Harbour Law 8', -4)
    today('TEACHER', [missed], { next: next(missed, 'SHOULD_RUN') })
    const box = await screen.findByRole('region', { name: 'Your next lesson' })
    expect(within(box).getByRole('link', { name: 'Open it now' })).toBeTruthy()
    expect(within(box).queryByRole('timer')).toBeNull()
  })

  it('names what waits beside the day, counts it in its part of the head, and says when nothing does', async () => {
    const registers = [1, 2, 3, 4, 5].map((n) => ({
      lesson: `r${n}`,
      title: `Class ${n}`,
      starts: lesson('x', -900).starts,
      ends: '',
    }))
    today(
      'TEACHER',
      [],
      {
        waiting: [
          { duty: 'REGISTER', chapter: 'AFTERWARDS', count: 5 },
          { duty: 'DRAFT', chapter: 'RULES', count: 1 },
        ],
      },
      {
        'GET /api/registers/unsigned': registers,
        'GET /api/working-day/ahead': [{ lesson: 'a', title: 'Weather Lab 8', starts: lesson('y', 1500).starts, ends: '' }],
      },
    )
    const part = await screen.findByRole('region', { name: 'Registers to sign' })
    expect(
      within(part)
        .getAllByRole('link')
        .map((one) => one.textContent),
    ).toContain('all 5')
    expect(within(part).queryByText('Class 5')).toBeNull()
    expect(await screen.findByRole('link', { name: /^Afterwards.*5 registers to sign/ })).toBeTruthy()
    expect(screen.getByRole('link', { name: '1 change of rules in your draft' }).getAttribute('href')).toBe('/charter')
    expect(screen.getByRole('link', { name: 'Weather Lab 8' }).getAttribute('href')).toBe('/lessons/a/desk')
  })

  it('has at most five parts at the top for anybody, and only what this person may open', async () => {
    today('TEACHER', [])
    await screen.findByText(/Nothing waits for you/)
    const places = await screen.findByRole('navigation', { name: 'Places' })
    const tops = within(places).getAllByRole('list')[0] as HTMLElement
    expect(
      within(tops)
        .getAllByRole('link')
        .map((one) => one.textContent),
    ).toEqual(['Today', 'Plan', 'Rules', 'Afterwards', 'School'])
    expect(within(places).queryByRole('link', { name: 'Corridor' })).toBeNull()
  })

  it('leads a new school through its first steps, the next one first, with three charters to begin with', async () => {
    const settings = [{ title: 'An adult is in first', value: 'yes', binding: true, why: 'Nobody is alone.' }]
    today(
      'LEAD',
      [],
      {},
      {
        'GET /api/corridor': { now: '', live: 0, calm: 0, pupils: 0, lessons: [] },
        'GET /api/upkeep': { now: new Date().toISOString(), checks: [], folder: '', hour: 2, keep: 14, backups: [] },
        'GET /api/first-steps': [
          { step: 'CALENDAR', done: true },
          { step: 'CHARTER', done: false },
          { step: 'CLASS', done: false },
        ],
        'GET /api/charter/ready-made': [{ id: 'usual', name: 'Usual', about: 'For most classes.', settings }],
        'POST /api/charter/ready-made/usual': { draft: [] },
      },
    )
    const steps = await screen.findByRole('region', { name: 'First steps' })
    expect(within(steps).getByText('is there.').parentElement?.textContent).toContain('Terms and holidays')
    expect(within(steps).getByRole('link', { name: 'Make a class' }).getAttribute('href')).toBe('/classes/new')
    fireEvent.click(await within(steps).findByRole('button', { name: 'its 1 settings' }))
    expect(within(steps).getByText('Nobody is alone.')).toBeTruthy()
  })

  it('says which lesson nobody opened', async () => {
    today('TEACHER', [lesson('Forgotten', -90), lesson('Overdue', -5)])

    expect(await screen.findByText('was never opened')).toBeTruthy()
    expect(screen.getByText('should have begun')).toBeTruthy()
  })

  it('shows a lead the worst lesson first, the bell to come, and folds what is over', async () => {
    const over = [1, 2, 3, 4, 5].map((n) => lesson(`Over ${n}`, -200 + n, { phase: 'OVER', mine: false }))
    const corridor = {
      now: new Date().toISOString(),
      live: 2,
      calm: 1,
      pupils: 40,
      lessons: [
        {
          lesson: 'w',
          title: 'Weather Lab 9',
          starts: '',
          ends: '',
          phase: 'OPEN',
          adults: [],
          adultsIn: [],
          present: 20,
          expected: 26,
          waiting: 0,
          door: 'open',
          alerts: [{ kind: 'NO_ADULT', since: '', text: 'No adult in the room.', grave: true, mine: false }],
        },
      ],
    }
    today(
      'LEAD',
      [...over, lesson('Live', -10, { phase: 'OPEN', mine: false }), lesson('Bell', 25, { mine: false })],
      {},
      {
        'GET /api/corridor': corridor,
        'GET /api/upkeep': { now: new Date().toISOString(), checks: [], folder: '', hour: 2, keep: 14, backups: [] },
      },
    )

    const school = await screen.findByRole('region', { name: 'The school now' })
    expect(within(school).getByText(/2 live, 40 pupils in/)).toBeTruthy()
    expect(within(school).getByText('No adult in the room.', { exact: false })).toBeTruthy()
    expect(within(school).getByText(/Next bell/).textContent).toContain('Bell')
    expect(screen.getByText('live now')).toBeTruthy()
    expect(screen.queryByRole('link', { name: 'Go to the desk' })).toBeNull()
    expect(screen.queryByText('Over 1')).toBeNull()
    fireEvent.click(screen.getByRole('button', { name: 'Show them' }))
    expect(screen.getByText('Over 1')).toBeTruthy()
    expect(await screen.findByText('No backup yet')).toBeTruthy()
  })

  describe('of a pupil', () => {
    const mine = (title: string, minutesFromNow: number, more: Partial<MyLesson> = {}): MyLesson => {
      const { id, starts, ends, adults } = lesson(title, minutesFromNow)
      return { id, title, starts, ends, adults, state: 'COMING', ...more }
    }
    const day = (page: MyDay) => {
      serve({
        'GET /api/standing': { ...standingOf('PUPIL'), now: new Date().toISOString() },
        'GET /api/my-day': page,
        'GET /api/my-day/behind': ['a', 'b', 'c', 'd'].map((id) => ({
          id,
          title: `Harbour Law ${id}`,
          starts: '2026-09-11T09:00:00Z',
        })),
      })
      show(<TodayScreen />)
    }

    it('shows the next lesson large, with the way to its door and the time until it', async () => {
      day({
        today: [
          mine('Harbour Law', -120, { state: 'OVER' }),
          mine('Tidal Navigation 8', 5, { joinPath: '/join/abc' }),
          mine('Knotwork', 90, { state: 'CANCELLED' }),
        ],
        later: [mine('Weather Lab', 1500)],
      })

      expect((await screen.findByRole('link', { name: 'Go to the door' })).getAttribute('href')).toBe('/join/abc')
      expect(screen.getByRole('heading', { name: 'Tidal Navigation 8' })).toBeTruthy()
      expect(screen.getByRole('timer').textContent).toMatch(/^[45]:\d\d$/)
      expect(screen.getByText('is not held').parentElement?.textContent).toContain('Knotwork')
      expect(screen.getByText('Weather Lab')).toBeTruthy()
      const behind = await screen.findByRole('region', { name: 'Lessons behind you' })
      expect(within(behind).getByText('Harbour Law a').closest('a')?.getAttribute('href')).toBe('/lessons/a/afterwards')
      expect(within(behind).queryByText('Harbour Law d')).toBeNull()
      await userEvent.click(within(behind).getByRole('button', { name: '1 more' }))
      expect(within(behind).getByText('Harbour Law d')).toBeTruthy()
    })

    it('says when the door opens, or that the link comes by word of mouth', async () => {
      const shownFrom = new Date(Date.now() + 20 * 60_000).toISOString()
      day({ today: [mine('Tidal Navigation 8', 50, { shownFrom })], later: [] })
      expect(await screen.findByText(/The way to the door opens here at .*, in (20:00|19:5\d)/)).toBeTruthy()
      expect(screen.queryByRole('link', { name: 'Go to the door' })).toBeNull()
    })

    it('sends a pupil whose school hides links to the teacher', async () => {
      day({ today: [mine('Tidal Navigation 8', 5)], later: [] })
      expect(await screen.findByText(/the link and the word that your teacher gives you/)).toBeTruthy()
    })
  })

  it('sends somebody who is not signed in to the sign-in page', async () => {
    vi.stubGlobal('scrollTo', () => {})
    serve({ 'GET /api/standing': { ...standingOf('TEACHER'), me: undefined } })
    show(<TodayScreen />, '/today', '/today')

    expect(await screen.findByText('another page')).toBeTruthy()
  })
})
