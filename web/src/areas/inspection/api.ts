import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { get, post } from '../../shared/api/http'
import type { InspectionPage, MendPreview } from '../../shared/api/types'

const KEY = ['inspection']

export const useInspection = () => useQuery({ queryKey: KEY, queryFn: () => get<InspectionPage>('/api/inspection') })

export const usePreview = () =>
  useMutation<MendPreview, unknown, string[]>({ mutationFn: (keys) => post<MendPreview>('/api/inspection/preview', { keys }) })

function usePlanned<T, A>(order: (given: A) => Promise<T>) {
  const cache = useQueryClient()
  return useMutation<T, unknown, A>({
    mutationFn: order,
    onSuccess: () =>
      Promise.all([
        cache.invalidateQueries({ queryKey: KEY }),
        cache.invalidateQueries({ queryKey: ['timetable'] }),
        cache.invalidateQueries({ queryKey: ['class'] }),
      ]),
  })
}

export const useMend = () =>
  usePlanned((given: { keys: string[]; fingerprint: string }) =>
    post<{ change: string; mends: number }>('/api/inspection/mend', given),
  )

export const useUndoMend = () => usePlanned((change: string) => post(`/api/timetable/changes/${change}/undo`))

export const useAccept = () =>
  usePlanned((given: { key: string; why: string; until: string }) => post('/api/inspection/accept', given))

export const useReopen = () => usePlanned((key: string) => post('/api/inspection/reopen', { key }))
