import { lazy, Suspense } from 'react'
import type { Seat } from '../../shared/api/types'

// What it takes to draw is fetched when slates are given out.
const SlatesOut = lazy(() => import('./SlatesOut'))

/** Slates at a seat, while there are any. */
export function Banner({ seat }: { seat: Seat }) {
  const { out, shown } = seat.slates
  if (!out && shown.length === 0) return null
  return (
    <Suspense fallback={null}>
      <SlatesOut seat={seat} />
    </Suspense>
  )
}
