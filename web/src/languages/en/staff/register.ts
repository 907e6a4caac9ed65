/** The register of a lesson, and logs from elsewhere. */
export const say = {
  // marks
  lateByMin: (late: number) => `late by ${late} min`,

  // Correct
  correct: (line: string) => `Correct ${line}`,
  computed: 'Computed:',
  itStaysVisibleBesideYourCorrection: '. It stays visible beside your correction.',
  mark: 'Mark',
  code: 'Code',
  minutesLate: 'Minutes late',
  reason: 'Reason',
  aFewWordsTheyStand: 'A few words; they stand in the register.',
  keepTheCorrection: 'Keep the correction',

  // Line
  computedSaid: (words: string, by: string, reason: string) => `computed: ${words}; ${by}: ${reason}`,
  correctButton: 'Correct',

  // LogImport
  aCsvFile:
    'A CSV file with a column of names, one of joins, and one of leaves or minutes; several rows for a person are united. Nothing counts before every name is decided.',
  logFile: 'Log file',
  reading: 'Reading',
  whatTheLogSays: 'What the log says',
  nobodyIsOnTheRoster: 'Nobody is on the roster of this class, so no name can be matched. Import the roster first.',
  datesSuchAs0304: 'Dates such as 03/04 are',
  theFileDoesNotTell: 'The file does not tell; both are possible.',
  sayWhich: 'Say which…',
  dayFirstTheThirdOfApril: 'day first: the third of April',
  monthFirstTheFourthOfMarch: 'month first: the fourth of March',
  howLongPeopleStayed: 'How long people stayed is counted in',
  theFileDoesNotTellIts: (likelyUnit: 'MINUTES' | 'SECONDS') =>
    `The file does not tell. Its numbers look like ${likelyUnit === 'SECONDS' ? 'seconds' : 'minutes'}.`,
  minutesAs45Or045: 'minutes, as 45 or 0:45',
  secondsAs2700Or4500: 'seconds, as 2700 or 45:00',
  takenButLook: 'Taken, but look at it',
  takeThisLog: 'Take this log',
  oneNameIsStill: (open: number) =>
    open > 0 ? (open === 1 ? 'One name is still to be decided.' : `${open} names are still to be decided.`) : '',
  thisLogCannotBeReadYet: 'This log cannot be read yet',
  rowIsNotTaken: '1 row is not taken',
  rowsAreNotTaken: (wrongInAll: number) => `${wrongInAll} rows are not taken`,
  names: 'Names',
  joined: 'Joined',
  left: 'Left',
  orMinutes: 'or minutes',
  columns: 'Columns',
  asYouSaidOfSuch: (remembered: boolean) => (remembered ? 'as you said of such a file before' : 'by their heading'),
  zoneOfTheTimes: 'Zone of the times in the file',
  mostTimesLieBeside: (isBeside: boolean, likelyZone: string) =>
    isBeside
      ? `Most times lie beside the lesson, as if they were told in the zone ${likelyZone}.`
      : 'No row lies in the lesson. Times may be told in another zone, such as UTC.',
  readItSo: 'Read it so',
  theTimesAreRight: 'The times are right as they are',
  onTheList: 'on the list',
  writtenDifferently: 'written differently',
  mayBeSeveral: 'may be several',
  notOnTheList: 'not on the list',
  min: (rows: number, minutes: number, certainty: string) =>
    `${rows === 1 ? '1 row' : `${rows} rows`}, ${minutes} min; ${certainty}`,
  whoIs: (name: string) => `Who is ${name}`,
  whoIsIt: 'Who is it?',
  nobodyOfTheClass: 'nobody of the class',

  // Logs
  alsoCounted: 'Also counted:',
  aLogOfAnotherService: 'a log of another service',
  takenBy: (by: string, day: string, clock: string) => `, taken by ${by}, ${day} ${clock}`,
  takeItBack: 'Take it back',
  bringInALog: 'Bring in a log of another service…',
  aLogOfAnotherServiceTitle: 'A log of another service',

  // SignOff
  signedBy: 'Signed by',
  openItAgain: 'Open it again…',
  signTheRegister: 'Sign the register',
  itThenStands: 'It then stands as it is; to correct it, it is opened again with a reason.',
  openTheRegisterAgain: 'Open the register again?',
  why: 'Why',
  keptWithWhoSigned: 'Kept with who signed and when.',
  openItAgainButton: 'Open it again',

  // RegisterScreen
  register: 'Register',
  theRegister: 'the register',
  registerHeading: 'Register:',
  to: (day: string, from: string, until: string) => `${day}, ${from} to ${until} ·`,
  theClassOverWeeks: 'the class over weeks',
  theLessonAgain: 'the lesson again',
  whatWasAnswered: 'what was answered',
  wordsBoardAndMaterial: 'words, board and material',
  thisLessonWasCalledOff: (calledOff: boolean, draft: boolean, begun: boolean) =>
    `${calledOff ? '. This lesson was called off; nobody was expected.' : ''}${draft && !calledOff ? (begun ? '. The lesson still runs; this is a draft.' : '. The lesson has not begun.') : ''}`,
  sums: 'Sums',
  exportAsCsv: 'Export as CSV',
  asPdf: 'As PDF',
  print: 'Print',
  registerByPupil: 'Register by pupil',
  pupil: 'Pupil',
  toSaid: (starts: string, ends: string) => `${starts} to ${ends}`,
  minutes: 'Minutes',
  firstIn: 'First in',
  lastOut: 'Last out',
  gap: 'Gap',
  atDoor: 'At door',
  minutesCountWithinTheLesson:
    'Minutes count within the lesson; short drops are bridged as the rules say. Time at the door, hatched, never makes anyone late.',
  inARow: 'In a row:',
  goOn: 'go on,',
}
