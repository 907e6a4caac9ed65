import { useQuery } from '@tanstack/react-query'
import { lazy, Suspense } from 'react'
import { Navigate, Route, Routes, useLocation } from 'react-router'
import { showPage, withWords, words } from './languages/language'
import { standing } from './shared/standing'
import { SchoolZone } from './shared/time'
import { Guard } from './shared/ui/Guard'
import { LoadingNote } from './shared/ui/Notes'

const SignInScreen = lazy(() => withWords(import('./areas/entrance/SignInScreen')))
const FirstStartScreen = lazy(() => import('./areas/entrance/FirstStartScreen'))
const TodayScreen = lazy(() => import('./areas/today/TodayScreen'))
const CorridorScreen = lazy(() => import('./areas/corridor/CorridorScreen'))
const StandInScreen = lazy(() => import('./areas/standin/StandInScreen'))
const TimetableScreen = lazy(() => import('./areas/timetable/TimetableScreen'))
const InspectionScreen = lazy(() => import('./areas/inspection/InspectionScreen'))
const LessonsBehindScreen = lazy(() => import('./areas/attendance/LessonsBehindScreen'))
const RegisterSettingsScreen = lazy(() => import('./areas/attendance/RegisterSettingsScreen'))
const KeepingScreen = lazy(() => import('./areas/keeping/KeepingScreen'))
const AttendanceScreen = lazy(() => import('./areas/attendance/AttendanceScreen'))
const ClassGridScreen = lazy(() => import('./areas/attendance/ClassGridScreen'))
const PupilScreen = lazy(() => import('./areas/attendance/PupilScreen'))
const CasebookScreen = lazy(() => import('./areas/casebook/CasebookScreen'))
const PatternsScreen = lazy(() => import('./areas/casebook/PatternsScreen'))
const FairnessScreen = lazy(() => import('./areas/casebook/FairnessScreen'))
const EvidenceScreen = lazy(() => import('./areas/casebook/EvidenceScreen'))
const IncidentScreen = lazy(() => import('./areas/casebook/IncidentScreen'))
const LadderScreen = lazy(() => import('./areas/charter/LadderScreen'))
const CalendarScreen = lazy(() => import('./areas/calendar/CalendarScreen'))
const OutboxScreen = lazy(() => import('./areas/outbox/OutboxScreen'))
const ClassesScreen = lazy(() => import('./areas/classes/ClassesScreen'))
const NewClassScreen = lazy(() => import('./areas/classes/NewClassScreen'))
const ClassScreen = lazy(() => import('./areas/classes/ClassScreen'))
const AccountScreen = lazy(() => withWords(import('./areas/account/AccountScreen')))
const UpkeepScreen = lazy(() => import('./areas/upkeep/UpkeepScreen'))
const PeopleScreen = lazy(() => import('./areas/people/PeopleScreen'))
const RulesScreen = lazy(() => import('./areas/charter/RulesScreen'))
const SetsScreen = lazy(() => import('./areas/charter/SetsScreen'))
const TryScreen = lazy(() => import('./areas/charter/TryScreen'))
const DeskScreen = lazy(() => import('./areas/desk/DeskScreen'))
const ResultsScreen = lazy(() => import('./areas/results/ResultsScreen'))
const BringScreen = lazy(() => import('./areas/bring/BringScreen'))
const AfterwardsScreen = lazy(() => withWords(import('./areas/afterwards/AfterwardsScreen')))
const RegisterScreen = lazy(() => import('./areas/register/RegisterScreen'))
const DoorstepScreen = lazy(() => withWords(import('./areas/seat/DoorstepScreen')))
const ReplayScreen = lazy(() => import('./areas/replay/ReplayScreen'))
const SeatScreen = lazy(() => withWords(import('./areas/seat/SeatScreen')))
const RecordingsScreen = lazy(() => import('./areas/recordings/RecordingsScreen'))
const RecordingScreen = lazy(() => withWords(import('./areas/recordings/RecordingScreen')))
const PlayerScreen = lazy(() => withWords(import('./areas/recordings/PlayerScreen')))
const ConsentsScreen = lazy(() => import('./areas/recordings/ConsentsScreen'))
const KeptScreen = lazy(() => import('./areas/upkeep/KeptScreen'))
const LooksScreen = lazy(() => import('./areas/looks/LooksScreen'))

/** Where whoever comes is taken for a pupil or a visitor; the other pages are those of who is signed in. */
const OF_PUPILS = /^\/(join|seat)\//

export function App() {
  const { data } = useQuery(standing)
  const { pathname } = useLocation()
  showPage(!data?.me || data.me.position === 'PUPIL' || OF_PUPILS.test(pathname))
  return (
    <SchoolZone.Provider value={data?.zone ?? 'UTC'}>
      <Guard>
        <Suspense fallback={<LoadingNote says={words().fetchingPage} />}>
          <Routes>
            <Route path="/sign-in" element={<SignInScreen />} />
            <Route path="/first-start" element={<FirstStartScreen />} />
            <Route path="/today" element={<TodayScreen />} />
            <Route path="/corridor" element={<CorridorScreen />} />
            <Route path="/timetable" element={<TimetableScreen />} />
            <Route path="/inspection" element={<InspectionScreen />} />
            <Route path="/attendance" element={<AttendanceScreen />} />
            <Route path="/attendance/lessons" element={<LessonsBehindScreen />} />
            <Route path="/attendance/settings" element={<RegisterSettingsScreen />} />
            <Route path="/keeping" element={<KeepingScreen />} />
            <Route path="/classes/:id/attendance" element={<ClassGridScreen />} />
            <Route path="/pupils/:id/attendance" element={<PupilScreen />} />
            <Route path="/casebook" element={<CasebookScreen />} />
            <Route path="/casebook/patterns" element={<PatternsScreen />} />
            <Route path="/casebook/fairness" element={<FairnessScreen />} />
            <Route path="/casebook/evidence" element={<EvidenceScreen />} />
            <Route path="/casebook/:number" element={<IncidentScreen />} />
            <Route path="/ladder" element={<LadderScreen />} />
            <Route path="/calendar" element={<CalendarScreen />} />
            <Route path="/outbox" element={<OutboxScreen />} />
            <Route path="/classes" element={<ClassesScreen />} />
            <Route path="/classes/new" element={<NewClassScreen />} />
            <Route path="/classes/:id" element={<ClassScreen />} />
            <Route path="/people" element={<PeopleScreen />} />
            <Route path="/account" element={<AccountScreen />} />
            <Route path="/upkeep" element={<UpkeepScreen />} />
            <Route path="/charter" element={<RulesScreen />} />
            <Route path="/rules/:place" element={<RulesScreen />} />
            <Route path="/sets" element={<SetsScreen />} />
            <Route path="/try" element={<TryScreen />} />
            <Route path="/lessons/:id/desk" element={<DeskScreen />} />
            <Route path="/lessons/:id/register" element={<RegisterScreen />} />
            <Route path="/lessons/:id/results" element={<ResultsScreen />} />
            <Route path="/lessons/:id/afterwards" element={<AfterwardsScreen />} />
            <Route path="/bring/:word" element={<BringScreen />} />
            <Route path="/lessons/:id/replay" element={<ReplayScreen />} />
            <Route path="/recordings" element={<RecordingsScreen />} />
            <Route path="/recordings/:id" element={<RecordingScreen />} />
            <Route path="/recordings/:id/watch" element={<PlayerScreen />} />
            <Route path="/kept" element={<KeptScreen />} />
            <Route path="/consents" element={<ConsentsScreen />} />
            <Route path="/join/:token" element={<DoorstepScreen />} />
            <Route path="/seat/:visit" element={<SeatScreen />} />
            <Route path="/stand-in" element={<StandInScreen />} />
            <Route path="/looks" element={<LooksScreen />} />
            <Route path="*" element={<Navigate to="/today" replace />} />
          </Routes>
        </Suspense>
      </Guard>
    </SchoolZone.Provider>
  )
}
