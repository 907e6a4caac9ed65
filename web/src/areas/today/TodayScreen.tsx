import { lazy, Suspense } from 'react'
import { LoadingNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'

const AdultsDay = lazy(() => import('./AdultsDay'))
const PupilsDay = lazy(() => import('./PupilsDay'))

/** The day of whoever is signed in: a pupil's lessons, a teacher's work, the school for its lead. */
export default function TodayScreen() {
  return (
    <Page title="Today">
      {(me) => (
        <Suspense fallback={<LoadingNote what="your day" />}>
          {me.position === 'PUPIL' ? <PupilsDay me={me} /> : <AdultsDay me={me} />}
        </Suspense>
      )}
    </Page>
  )
}
