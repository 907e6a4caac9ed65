import { screen } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import type { LessonLine, MyDay, MyLesson } from '../../shared/api/types'
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

function today(position: 'LEAD' | 'TEACHER' | 'PUPIL', lessons: LessonLine[]) {
  serve({ 'GET /api/standing': { ...standingOf(position), now: new Date().toISOString() }, 'GET /api/today': lessons })
  show(<TodayScreen />)
}

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

  it('says which lesson nobody opened', async () => {
    today('TEACHER', [lesson('Forgotten', -90), lesson('Overdue', -5)])

    expect(await screen.findByText('was never opened')).toBeTruthy()
    expect(screen.getByText('should have begun')).toBeTruthy()
  })

  it('shows the safeguarding lead all lessons but no desk', async () => {
    today('LEAD', [lesson('Live', -10, { phase: 'OPEN', mine: false })])

    expect(await screen.findByText('live now')).toBeTruthy()
    expect(screen.queryByRole('link', { name: 'Go to the desk' })).toBeNull()
  })

  describe('of a pupil', () => {
    const mine = (title: string, minutesFromNow: number, more: Partial<MyLesson> = {}): MyLesson => {
      const { id, starts, ends, adults } = lesson(title, minutesFromNow)
      return { id, title, starts, ends, adults, state: 'COMING', ...more }
    }
    const day = (page: MyDay) => {
      serve({ 'GET /api/standing': { ...standingOf('PUPIL'), now: new Date().toISOString() }, 'GET /api/my-day': page })
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
