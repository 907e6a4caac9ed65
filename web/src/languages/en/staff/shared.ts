/** What many pages of the staff say: places, signs, dates, the line one finds with. */
export const say = {
  // time

  // places
  today: 'Today',
  myDay: 'My day',
  corridor: 'Corridor',
  standIn: 'Stand-in',
  plan: 'Plan',
  timetable: 'Timetable',
  classes: 'Classes',
  inspection: 'Inspection',
  schoolCalendar: 'School calendar',
  outbox: 'Outbox',
  rules: 'Rules',
  charter: 'Charter',
  sets: 'Sets',
  ladder: 'Ladder',
  triedOnPastLessons: 'Tried on past lessons',
  afterwards: 'Afterwards',
  attendance: 'Attendance',
  casebook: 'Casebook',
  recordings: 'Recordings',
  howRulesAreKept: 'How rules are kept',
  school: 'School',
  people: 'People',
  consents: 'Consents',
  registerCodes: 'Register codes',
  keptData: 'Kept data',
  upkeep: 'Upkeep',
  myAccount: 'My account',

  // find
  registerOf: (name: string) => `Register of ${name}`,
  attendanceOf: (name: string) => `Attendance of ${name}`,
  /** What a name that is found is of, where nothing tells more. */
  kindsFound: { LESSON: 'lesson', CLASS: 'class', PUPIL: 'pupil', ADULT: 'adult', RULE: 'rule' },
  whyOf: (name: string, rule: string) => `Why: ${name} · ${rule}`,
  coverOf: (name: string) => `Cover ${name}`,
  toTheDesk: (name: string) => `To the desk of ${name}`,
  rulesOf: (name: string) => `Rules of ${name}`,
  joiningNoteOf: (name: string) => `Joining note of ${name}`,

  // Shutter

  // Why

  // FindLine
  findAndDo: 'Find and do',
  find: 'Find',
  aNameAClass: 'A name, a class, a rule; or: cover Tidal, why may Ines not write',
  found: 'Found',
  typeTheBeginning: (typed: string, isFetching: boolean, asked: string) =>
    typed === ''
      ? 'Type the beginning of a name. “cover”, “register”, “rules”, “link” or “why” before it say what to do.'
      : isFetching || asked !== typed
        ? 'Looking…'
        : 'Nothing of yours is called so. Try the beginning of a name, or fewer words.',
  thereIsNoLessonNear: 'There is no lesson near in which it could be asked.',
  choose: 'choose,',
  goesThere: 'goes there,',
  closes: 'closes',

  // day
  lessonNeedsSomeoneNow: 'lesson needs someone now',
  lessonsNeedSomeoneNow: 'lessons need someone now',
  waitsAtYourDoor: 'waits at your door',
  waitAtYourDoor: 'wait at your door',
  followUpIsDue: 'follow-up is due',
  followUpsAreDue: 'follow-ups are due',
  dangerInWhatIsPlannedNext: 'danger in what is planned next',
  dangersInWhatIsPlannedNext: 'dangers in what is planned next',
  registerToSign: 'register to sign',
  registersToSign: 'registers to sign',
  changeOfRulesInYourDraft: 'change of rules in your draft',
  changesOfRulesInYourDraft: 'changes of rules in your draft',
  thingToLookAfter: 'thing to look after',
  thingsToLookAfter: 'things to look after',

  // Places
  places: 'Places',
  toDo: (whatTo: string) => `to do: ${whatTo}`,
  isLiveToTheDesk: (live: string) => `${live} is live: to the desk`,

  // Page

  // Todos
  no: (whoName: string, late: boolean, until: string, incident: number) =>
    `${whoName} · ${late ? 'was due' : 'until'} ${until} · No. ${incident}`,

  // SeverityMark
  danger: 'danger',
  weakSpot: 'weak spot',
  worthKnowing: 'worth knowing',

  // age
  minutes: (minutes: number) => `${minutes} minutes`,
  hours: (hours: number) => `${hours} hours`,
  days: (hours: number) => `${hours} days`,

  // Clocks
  minSaid: (milliseconds: number) => `${milliseconds} min`,

  // NotTaken
  whatIsTaken: 'What is taken and to be known',
  whatIsNotTaken: 'What is not taken',
  line: 'line',
  lineWord: 'Line',
  andMore: (all: number) => `and ${all} more`,

  // SeriesFields
  aHelpHour: 'A help hour',
  pupilsComeWithQuestions: 'pupils come with questions; not coming is no absence',
  weeklyOn: 'Weekly on',
  noneMonToFri: (all: boolean) => (all ? 'none' : 'Mon to Fri'),
  withNoDayChosen: 'With no day chosen it is one lesson, on the date below.',
  firstDate: 'First date',
  on: 'On',
  lastDate: 'Last date',
  beginsAt: 'Begins at',
  minutesLabel: 'Minutes',
  everyWeeks: 'Every … weeks',

  // ScheduleForm
  scheduleLessons: 'Schedule lessons',
  schedule: 'Schedule',
  takenBackNone: (isSuccess: boolean) => (isSuccess ? 'Taken back: none of these lessons is held.' : ''),
  undo: 'Undo',
  lessonIsPlanned: '1 lesson is planned.',
  lessonsArePlanned: (added: number) => `${added} lessons are planned.`,
  leftOutTheClass: (left: number) => `${left} left out: the class has a lesson then already.`,
  leftOutTheyFallInHolidays: (holidays: number) => `${holidays} left out: they fall in holidays.`,
  copyTheLink: 'Copy the link',
  copyTheJoiningNote: 'Copy the joining note',
  lookAt: 'Look at this before you go on:',
  andMoreTheInspectionLists: (spots: number, shown: number, more: number) =>
    spots > shown ? `and ${more} more; the inspection lists them all.` : '',

  // MarkBox
  present: 'present',
  late: 'late',
  leftEarly: 'left early',
  partlyThere: 'partly there',
  absent: 'absent',
  excused: 'excused',
  notExpected: 'not expected',
  watchedTheRecording: 'watched the recording',
  cameToTheHelpHour: 'came to the help hour',

  // Period
  from: 'From',
  to: 'to',
  until: 'Until',

  // rights
  speak: 'Speak',
  camera: 'Camera',
  write: 'Write',
  whisper: 'Whisper',
  share: 'Share',
  draw: 'Draw',
  rename: 'Rename',

  // ColumnPicker
  none: 'none',
  column: (place: number) => `column ${place}`,

  // Sure
  leaveIt: 'Leave it as it is',
}
