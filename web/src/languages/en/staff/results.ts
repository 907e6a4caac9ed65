/** Results and merits of a class. */
export const say = {
  // OfPupil
  merits: 'Merits',
  noneYetInTheClasses: 'None yet in the classes you see.',
  by: (title: string, at: string, by: string) => `${title}, ${at}, by ${by}`,
  answers: 'Answers',
  ofWereRightWhereSomething: (withRight: number, withRight2: number) =>
    `${withRight} of ${withRight2} were right, where something was right or wrong.`,
  aSpokenQuestion: 'A spoken question',
  noneOfThem: 'none of them',

  // MeritsOfClass
  theMerits: 'the merits',
  meritsInTheLastWeeks: (all: number, weeks: number) => `${all} merits in the last ${weeks} weeks.`,
  nobodyHasPraised: 'Nobody has praised',
  onlyTheAdults: (never: string) => `${never}. Only the adults of this class see that.`,
  pupil: 'Pupil',
  weekByWeekThisOneLast: 'Week by week, this one last',

  // MeritReasons
  whatMeritsAreGiven: 'What merits are given for',
  reasons: 'Reasons',
  oneOnEachLineUp: 'One on each line, up to twelve. Adults give one by one press, or write another.',
  keepTheList: 'Keep the list',

  // ResultsScreen
  theAnswers: 'the answers',
  answersOf: (title: string) => `Answers: ${title}`,
  theRegister: 'the register',
  theLessonAgain: 'the lesson again',
  exportAsCsv: 'Export as CSV',
  answersOfThisLesson: 'Answers of this lesson were erased, as the rules have it. What was asked is left.',
  nothingWasAskedInThisLesson: 'Nothing was asked in this lesson.',
  answersSaid: (askedAt: string, answers: number, named: boolean) =>
    `${askedAt} · ${answers} answers${named ? '' : ' · without names, as the rules had it'}`,
  whoAnsweredWhat: 'Who answered what',
}
