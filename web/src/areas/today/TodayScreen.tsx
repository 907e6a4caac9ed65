import { lazy, Suspense } from 'react'
import { ownWords } from '../../languages/own'
import { withWords } from '../../languages/language'
import { LoadingNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'

const AdultsDay = lazy(() => import('./AdultsDay'))
const PupilsDay = lazy(() => withWords(import('./PupilsDay')))

/** The day of whoever is signed in: a pupil's lessons, a teacher's work, the school for its lead. */
export default function TodayScreen() {
  return (
    <Page title={ownWords().today}>
      {(me) => (
        <Suspense fallback={<LoadingNote says={ownWords().fetchingDay} />}>
          {me.position === 'PUPIL' ? <PupilsDay me={me} /> : <AdultsDay me={me} />}
        </Suspense>
      )}
    </Page>
  )
}
