import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { get, post } from '../../shared/api/http'
import type { ClassPage, PlanChanged, TimetablePage, TimetableTaken } from '../../shared/api/types'

export const timetableKey = (from: string, days: number) => ['timetable', from, days]

/** The lessons of some days; it looks again now and then, because lessons begin and others change the plan. */
export function useTimetable(from: string, days: number) {
  return useQuery({
    queryKey: timetableKey(from, days),
    queryFn: () => get<TimetablePage>(`/api/timetable?from=${from}&days=${days}`),
    refetchInterval: 30_000,
    placeholderData: (before) => before,
  })
}

export interface LessonChange {
  from?: string
  minutes?: number
  cancelled?: boolean
  following: boolean
  why: string
}

export interface Cover {
  adult: string
  insteadOf?: string
  through?: string
  why: string
}

/** What changed the plan is seen at once in the timetable and in the inspection. */
function usePlanOrder<T, A>(order: (given: A) => Promise<T>) {
  const cache = useQueryClient()
  return useMutation<T, unknown, A>({
    mutationFn: order,
    onSuccess: () =>
      Promise.all([
        cache.invalidateQueries({ queryKey: ['timetable'] }),
        cache.invalidateQueries({ queryKey: ['inspection'] }),
        cache.invalidateQueries({ queryKey: ['class'] }),
      ]),
  })
}

export const useChange = (lesson: string) =>
  usePlanOrder((change: LessonChange) => post<PlanChanged>(`/api/timetable/lessons/${lesson}/change`, change))

export const useCover = (lesson: string) =>
  usePlanOrder((cover: Cover) => post<PlanChanged>(`/api/timetable/lessons/${lesson}/cover`, cover))

export const useUndo = () => usePlanOrder((change: string) => post(`/api/timetable/changes/${change}/undo`))

interface Taking {
  file: File
  meant: Record<string, string>
  callOff: boolean
  fingerprint: string
}

/** Takes a timetable as its preview showed it. */
export const useTake = () =>
  usePlanOrder(({ file, meant, callOff, fingerprint }: Taking) => {
    const how = new URLSearchParams({ meant: JSON.stringify(meant), callOff: String(callOff), fingerprint, name: file.name })
    return post<TimetableTaken>(`/api/timetable/import?${how}`, file)
  })

export const useColleagues = () =>
  useQuery({ queryKey: ['adults'], queryFn: () => get<{ id: string; name: string }[]>('/api/adults') })

export const useClass = (id: string) => useQuery({ queryKey: ['class', id], queryFn: () => get<ClassPage>(`/api/classes/${id}`) })
