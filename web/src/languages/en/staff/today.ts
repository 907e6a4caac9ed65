/** The day of an adult, and of the whole school. */
export const say = {
  // Beside
  whatWaits: 'What waits for you',
  nothingWaits: 'Nothing waits for you: no register to sign, no follow-up, no weak spot.',
  registersToSign: 'Registers to sign',
  toDoFromTheCasebook: 'To do from the casebook',
  weakSpotsOfToday: 'Weak spots of today and the next day',
  cover: 'Cover',
  you: (mine: boolean, adult: string) => (mine ? 'You' : adult),
  in: (title: string) => `in ${title}`,
  for: (insteadOf: string) => `, for ${insteadOf}`,
  all: (many: number) => `all ${many}`,
  lastGoodBackupAgo: (age: string) => `Last good backup ${age} ago`,
  noBackupYet: 'No backup yet',

  // DayTable
  lessonsOfToday: 'Lessons of today',
  theSchoolsLessonsToday: (position: 'LEAD' | 'TEACHER' | 'PUPIL') =>
    position === 'LEAD' ? 'The school’s lessons today' : 'Your lessons today',
  time: 'Time',
  class: 'Class',
  adults: 'Adults',
  state: 'State',
  whatToDo: 'What to do',
  lessonsAreOver: (over: number) => `${over} lessons are over.`,
  showThem: 'Show them',
  pupils: (pupils: number) => `${pupils} pupils`,
  register: 'Register',
  rulesAndVisitorsOf: (lesson: string) => `Rules and visitors of ${lesson}`,
  rulesAndVisitors: 'Rules and visitors',
  goToTheDeskGet: (phase: 'PLANNED' | 'OPEN', soon: boolean) =>
    phase === 'OPEN' ? 'Go to the desk' : soon ? 'Get ready' : 'Look ahead',
  lookIn: 'Look in',
  liveNow: 'live now',
  finished: 'finished',
  wasNeverOpened: 'was never opened',
  shouldHaveBegun: 'should have begun',
  beginsIn: 'begins in',
  planned: 'planned',

  // DaysAhead
  yourNextDays: 'Your next days',

  // FirstSteps
  termsAndHolidays: 'Terms and holidays',
  lessonsAreThenLeftOut: 'Lessons are then left out of holidays by themselves.',
  setThem: 'Set them',
  theCharter: 'The charter',
  whatHoldsInEveryLesson: 'What holds in every lesson. Begin with one that is ready, and refine it later.',
  people: 'People',
  teachersAndPupilsByHand: 'Teachers and pupils, by hand or from a file.',
  addPeople: 'Add people',
  aClassWithItsRoster: 'A class with its roster',
  itsRulesLessonsAndLink: 'Its rules, lessons and link on one page; then type or paste the names.',
  makeAClass: 'Make a class',
  aFirstLesson: 'A first lesson',
  oneDateIsEnough: 'One date is enough.',
  planOne: 'Plan one',
  triedOnce: 'Tried once',
  aSimulatedClassComes: 'A simulated class comes to the door; try the desk, let something go wrong, dismiss. Nothing is kept.',
  firstSteps: 'First steps',
  isThere: (done: boolean, why: string) => (done ? 'is there.' : why),
  take: (name: string) => `Take “${name}”`,
  itsSettings: (settings: number) => `its ${settings} settings`,
  binding: (line: string, binding: boolean) => `: ${line}${binding ? ', binding' : ''}.`,

  // NextBox
  isLiveEnds: 'is live, ends in',
  goToTheDesk: 'Go to the desk',
  openItNow: 'Open it now',
  getReady: 'Get ready',
  lookAhead: 'Look ahead',
  yourNextLesson: 'Your next lesson',
  to: (starts: string, ends: string) => `${starts} to ${ends}`,
  waitsAtTheDoorWait: (knocks: number) => `· ${knocks === 1 ? '1 waits at the door' : `${knocks} wait at the door`}`,

  // SchoolNow
  theSchoolNow: 'The school now',
  noLessonIsLiveLive: (live: number, pupils: number) => (live === 0 ? 'No lesson is live' : `${live} live, ${pupils} pupils in`),
  nextBellIn: (bell: string) => `Next bell ${bell}, in`,
  lessonsBegin: (ringing: number) => `${ringing} lessons begin`,
  corridor: 'Corridor',
  allIsWell: 'All is well in all of them.',
  toIt: (mine: boolean, takenBy: string) => `${mine ? 'You see' : `${takenBy} sees`} to it.`,
  andMore: (alerts: number) => `And ${alerts} more.`,
  moreInTheCorridor: (worried: number) => `${worried} more in the corridor`,

  // AdultsDay
  todaysLessons: "today's lessons",
  atTheSchool: (now: string, live: number) =>
    `${now} at the school, ${live === 0 ? 'no lesson is live' : live === 1 ? '1 lesson is live' : `${live} lessons are live`}`,
  noLessonToday: 'No lesson today.',
  makeAClassAndSchedule: 'Make a class and schedule it',
  andItStandsHere: ', and it stands here on its day.',

  // MyRecordings
}
