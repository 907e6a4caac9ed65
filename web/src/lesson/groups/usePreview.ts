import { useQuery } from '@tanstack/react-query'
import { get } from '../../shared/api/http'
import type { Desk, GroupsPreview } from '../../shared/api/types'

/** What holds in groups, and what they can be made from; asked again when the rights of the class change. */
export function usePreview(desk: Desk, lesson: string): GroupsPreview | undefined {
  return useQuery({
    queryKey: ['groups-preview', lesson, desk.rights.columns],
    queryFn: () => get<GroupsPreview>(`/api/lessons/${encodeURIComponent(lesson)}/groups/preview`),
  }).data
}
