/** Recordings and consents. */
export const say = {
  // words
  beforeItBegan: 'before it began',
  paused: 'paused',
  recorderFailed: 'recorder failed',
  noConsent: 'no consent',
  inGroups: 'in groups',
  endedEarly: 'ended early',
  min: (seconds: number) => `${seconds} min`,

  // Cover
  ofWhatHad: (share: number) => `${share} % of what had to be recorded was recorded`,
  whole: (missing: number, spans: string) => (missing === 0 ? 'whole' : spans),

  // RecordingsScreen
  ofAll: (count: number, all: number) => `${count} of ${all}`,
  minutesOfAll: (minutes: number, all: number) => `${minutes} of ${all} min`,
  recordings: 'Recordings',
  theRecordings: 'the recordings',
  whatHadToBeRecorded: (isLead: boolean) =>
    `${isLead ? 'Of the school' : 'Of your classes'}: what had to be recorded, what was, and what is missing.`,
  whoMayBeRecorded: 'Who may be recorded',
  keptAndForgotten: 'Kept and forgotten',
  toWatchARecording: (asks: number) =>
    `${asks === 1 ? 'Somebody asks' : `${asks} ask`} to watch a recording and ${asks === 1 ? 'waits' : 'wait'} for an answer.`,
  nothingWasRecorded: 'Nothing was recorded between these days, and nothing had to be.',
  recordingsTheLatestFirst: 'Recordings, the latest first',
  onlyTheLatest: 'Only the latest 1,000 recordings are listed; the sum above is of all. Choose fewer days, or one class.',
  lessonsThatHad: 'lessons that had to be recorded were, whole',
  missing: 'missing',
  recordedAhead: 'recorded ahead',
  toWatch: (asks: number) => `${asks} ${asks === 1 ? 'asks' : 'ask'} to watch`,
  didNot: (isAhead: boolean, isGoingOn: boolean) => (isAhead || isGoingOn ? '' : 'did not have to be'),
  goesOnNone: (isGoingOn: boolean, lengthSeconds: number, length: string) =>
    isGoingOn ? 'goes on' : lengthSeconds > 0 ? length : 'none',
  deleted: (erasedAt: string) => `deleted ${erasedAt}`,
  keptUntil: (keptUntil: string, isExtended: boolean) => `kept until ${keptUntil}${isExtended ? ', by the lead' : ''}`,

  // ShowToClass
  shownToTheClass: 'Shown to the class',
  fromUntil: (shownFrom: string, shownFrom2: string, shownUntil: string) =>
    `From ${shownFrom}, ${shownFrom2}, until ${shownUntil}.`,
  takeItBack: 'Take it back',
  nobodyOfTheClassSees: 'Nobody of the class sees it yet.',
  from: 'From',
  at: 'At',
  untilTheEnd: 'Until the end of',
  countsInTheRegister: 'Counts in the register of',
  asTheRuleWatching: 'As the rule “Watching a recording counts from” says; else it does not count.',
  noLesson: 'no lesson',
  showItToTheClass: 'Show it to the class',

  // RecordingScreen

  // Controls

  // consent
  may: 'may',
  refusedInShort: 'refused',
  withdrawn: 'withdrawn',
  nothingIsKnown: 'nothing is known',
  aParent: 'a parent',
  thePupil: 'the pupil',
  theSchool: 'the school',
  theVisitor: 'the visitor',
  mayBeRecorded: 'May be recorded',
  isNotToBeRecorded: 'Is not to be recorded',
  isNotToBeRecordedAny: 'Is not to be recorded any more',

  // ConsentImport
  takeConsentsFromAFile: 'Take consents from a file',
  aCsvFile:
    'A CSV file with a heading: “Number” or “Name”, “Consent” (given, refused, withdrawn), and if you have them “By”, “Paper”, “From”, “Until” as 2026-09-14. The table of this page is such a file. Nothing is noted before you have seen it.',
  consentFile: 'Consent file',
  wereNoted: (noted: number) => `${noted} were noted.`,
  whatTheFileWouldNote: 'What the file would note',
  readAs: (encoding: string) => `Read as ${encoding}, for it is not UTF-8. Look at names with accents.`,
  fromSaid: (becomes: string, from: string) => `: ${becomes} from ${from}`,
  until: (until: string) => ` until ${until}`,
  now: (was: string) => `(now: ${was})`,
  andMore: (noted: number) => `and ${noted} more.`,
  stayAs: 'stay as they are.',
  rowIsLeftOutRows: (wrong: number) => (wrong === 1 ? '1 row is left out' : `${wrong} rows are left out`),
  nothingToNoteNote: (noted: number) => (noted === 0 ? 'Nothing to note' : `Note these ${noted}`),
  leaveIt: 'Leave it',

  // ConsentSheet
  mayBeRecordedSaid: (pupil: string) => `May ${pupil} be recorded?`,
  whatWasSaidBefore: 'What was said before',
  nothingYet: 'Nothing yet.',
  byFrom: (giver: string, paper: string, from: string) => `, by ${giver}${paper}; from ${from}`,
  notedByOn: (by: string, at: string) => `Noted by ${by} on ${at}`,
  whatWasSaid: 'What was said',
  byWhom: 'By whom',
  onWhichPaperOrForm: 'On which paper or form',
  todayIfLeftEmpty: 'Today, if left empty',
  untilLabel: 'Until',
  noEndIfLeftEmpty: 'No end, if left empty',
  fromThatDay: 'From that day on they are left out of what is watched and downloaded, also of recordings that were made before.',
  noteIt: 'Note it',

  // ConsentsScreen
  whoMayBeRecordedFetched: 'who may be recorded',
  mayRefusedWithdrew: (given: number, refused: number, withdrawn: number, unknown: number) =>
    `${given} may; ${refused} refused, ${withdrawn} withdrew, and of ${unknown} nothing is known. Who is not known to have agreed is treated as who has not.`,
  asATableCsv: 'As a table (.csv)',
  onlyPupilsOfOneClass: 'Only pupils of one class.',
  allPupils: 'All pupils',
  searchByNameOrClass: 'Search by name or class',
  nameOrClass: 'Name or class',
  onlyThoseWho: 'Only those who',
  allPupilsChoice: 'all pupils',
  noPupilFits: 'No pupil fits.',
  pupilColumn: 'Pupil',
  byWhomOnWhichPaper: 'By whom, on which paper',
  fromUntilColumn: 'From, until',
  change: 'Change',
  andMoreSaid: (classes: number, more: number) => (classes > 1 ? ` and ${more} more` : ''),
  to: (until: string) => ` to ${until}`,
  noteAWordWhatWasSaid: (isLead: boolean) => (isLead ? 'Note a word' : 'What was said'),
}
