/** Attendance of classes and pupils. */
export const say = {
  // RateBar
  timesOf: (attended: number, expected: number) => `${attended} of ${expected} times`,
  nobodyExpected: 'nobody expected',
  late: (late: number) => `${late} late`,
  leftEarly: (early: number) => `${early} left early`,
  inPart: (partly: number) => `${partly} in part`,
  excusedBesides: (excused: number) => `${excused} excused besides`,
  soFewSayLittle: 'so few say little',

  // LessonsBehindScreen
  lessonsBehindARate: 'Lessons behind a rate',
  theLessons: 'the lessons',
  ofTheLastEightWeeksThere: (lessons: number, rate: string) =>
    `${lessons === 1 ? 'One lesson' : `${lessons} lessons`} of the last eight weeks; there ${rate}.`,
  backToTheSchool: 'Back to the school',

  // RegisterSettingsScreen
  codesAndLimits: 'Codes and limits',
  theSchoolsCodes: "the school's codes",
  absentInARow: 'Absent in a row from',
  lessonsOn: 'lessons on',
  thereInLess: 'There in less than',
  ofFourWeeks: '% of four weeks',
  thereLess: 'There less than before by',
  percentagePointsOrMore: 'percentage points or more',
  lateLabel: 'Late',
  timesInFourWeeks: 'times in four weeks, and to every fourth lesson',
  howRegistersAreWritten: 'How registers are written, and from when on a pupil is named on the page of',
  attendance: 'attendance',
  fromWhenOnSomebody: '. From when on somebody is late or absent is a',
  rule: 'rule',
  theSchoolsOwnCodes: "The school's own codes",
  theFirstCode:
    'The first code of a mark is the one that a computed mark is written as; the others are chosen by who corrects. What stands in a register already stays as it was written.',
  noCodesMarksAreWritten: 'No codes: marks are written as words.',
  code: (code: string | number) => `Code ${code}`,
  codeLabel: 'Code',
  meaning: 'Meaning',
  whatItMeans: 'what it means',
  mark: 'Mark',
  removeCode: (code: string | number) => `Remove code ${code}`,
  remove: 'Remove',
  anotherCode: 'Another code',
  whoNeedsAttention: 'Who needs attention',
  keepCodesAndLimits: 'Keep codes and limits',
  backTo: 'Back to what it was',
  kept: (isSuccess: boolean, changed: boolean) => (isSuccess && !changed ? 'Kept.' : ''),
  theSafeguardingLeadKeepsThem: 'The safeguarding lead keeps them.',

  // AttendanceScreen
  attendanceTitle: 'Attendance',
  theAttendance: 'the attendance',
  pupilsTheLastFourWeeks: (
    lookedAt: number,
    isLead: boolean,
    inARow: number,
    belowPercent: number,
    dropPoints: number,
    lateTimes: number,
  ) =>
    `${lookedAt} pupils${isLead ? ' of the school' : ' of your classes'}, the last four weeks against the four before. Absent from ${inARow} lessons in a row, there in less than ${belowPercent} %, ${dropPoints} points less than before, or late ${lateTimes} times and to every fourth lesson.`,
  keptToThePlan: 'Kept to the plan',
  allRegistersOfFourWeeks: 'All registers of four weeks as a table',
  noLessonIsOverYet: (lookedAt: number) =>
    lookedAt === 0 ? 'No lesson is over yet; registers fill this page.' : 'Nobody. Everybody comes as usual.',
  year: (year: number) => `year ${year}`,
  nothingBefore: 'nothing before',
  before: (rate: number) => `before: ${rate} %`,
  byClass: 'By class',
  bySubject: 'By subject',
  byDayOfTheWeek: 'By day of the week',
  byHour: 'By hour',
  byAdult: 'By adult',

  // ClassGridScreen
  attendanceOfAClass: 'Attendance of a class',
  notExpectedTheLesson: 'not expected: the lesson was called off',
  notExpectedJoinedTheClassLater: 'not expected: joined the class later',
  notExpectedHadLeftTheClass: 'not expected: had left the class',
  minThere: (mark: string, lateMinutes: number, minutes: number) =>
    `${mark}${lateMinutes > 0 ? ` by ${lateMinutes} min` : ''}, ${minutes} min there`,
  corrected: ', corrected',
  theAttendanceOfTheClass: 'the attendance of the class',
  attendanceHeading: 'Attendance:',
  lessonsPupilsThere: (lessons: number, pupils: number, rate: string) => `${lessons} lessons, ${pupils} pupils; there ${rate}`,
  exportAsCsv: 'Export as CSV',
  asPdf: 'As PDF',
  noLessonOfThisClass: 'No lesson of this class was held between these days.',
  pupil: 'Pupil',
  there: 'There',
  all: 'All',
  writtenByAnAdultHatched: '* written by an adult. Hatched bars come from few lessons and say little.',

  // GroupsOfPupil
  inGroups: 'In groups',
  withAlone: (count: number, names: string) => (count > 0 ? `with ${names}` : 'alone'),

  // PupilScreen
  attendanceOfAPupil: 'Attendance of a pupil',
  theAttendanceOfThePupil: 'the attendance of the pupil',
  attendanceFromTo: (year: number, from: string, until: string) =>
    `${year > 0 ? `Year ${year} · ` : ''}attendance from ${from} to ${until}`,
  print: 'Print',
  thereNoLessonWasHeld: (expected: number, rate: string) =>
    expected > 0 ? `There ${rate}.` : 'No lesson was held for this pupil in these days.',
  byWeek: 'By week',
  from: (name: string) => `from ${name}`,
  lessonByLesson: 'Lesson by lesson',
  nothingStandsInARegisterYet: 'Nothing stands in a register yet.',
  byMinCorrected: (mark: string, lateMinutes: number, corrected: boolean) =>
    `${mark}${lateMinutes > 0 ? ` by ${lateMinutes} min` : ''}${corrected ? ', corrected' : ''}`,
}
