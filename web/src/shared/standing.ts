import { queryOptions } from '@tanstack/react-query'
import { get } from './api/http'
import type { Standing } from './api/types'

/** Is there a school, who is signed in, what time is it there. */
export const standing = queryOptions({
  queryKey: ['standing'],
  queryFn: () => get<Standing>('/api/standing'),
  staleTime: 60_000,
})
