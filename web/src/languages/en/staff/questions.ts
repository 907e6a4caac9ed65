/** Questions prepared for a class, and its welcome. */
export const say = {
  // QuestionsOfClass
  theQuestions: 'the questions',
  newSetOfQuestions: 'New set of questions',
  orReadThem: 'or read them from a file, a table (CSV) or items (QTI):',
  questionsFromAFileCsv: 'Questions from a file: CSV, or QTI as XML or ZIP',
  nothingIsPreparedYet:
    'Nothing is prepared yet. What is written here is asked at the desk by one press (Q), and can be used again. A file may be a table (CSV) or items of 1EdTech QTI.',
  changeTheseQuestions: 'Change these questions',
  aSetOfQuestions: 'A set of questions',
  questionsBy: (questions: number, by: string) => `${questions} questions, by ${by}`,
  change: 'Change',
  csv: 'CSV',
  thatAreAnswered: (leftOut: number) => `${leftOut} that are answered by a number or a text are left out, and listed in it`,
  qti: (leftOut: number) => `QTI${leftOut > 0 ? ` (without ${leftOut})` : ''}`,
  delete: 'Delete',
  aSpokenQuestion: 'A spoken question',
  deleteSaid: (set: string) => `Delete “${set}”?`,
  itsQuestionsAreGone: 'Its questions are gone for good; what was asked in lessons stays with them.',
  deleteIt: 'Delete it',
  keepIt: 'Keep it',
  rightOfAnswersToIsLikely: (percent: string, answers: number, from: string, until: string) =>
    `Right: ${percent} of ${answers} answers (${from} to ${until} is likely).`,
  tooFewAnswersToSayMore: 'Too few answers to say more.',
  whetherItTellsApartCannot: 'Whether it tells apart cannot be said yet.',
  itTellsWellApart: (tells: number, shown: string) =>
    tells >= 0.3
      ? `It tells well apart who knows more (${shown}).`
      : tells >= 0.1
        ? `It tells a little apart who knows more (${shown}).`
        : `It does not tell apart who knows more (${shown}): look at how it is worded.`,
  itIsInNow: (title: string) => `It is in ${title} now.`,
  copyTo: 'Copy to…',
  copyTheseQuestionsToAnotherClass: 'Copy these questions to another class',
  toWhichClass: 'To which class',
  chooseAClass: 'choose a class…',
  notEverythingOfTheFile: 'Not everything of the file is taken:',
  nameOfTheSet: 'Name of the set',
  question: (place: number) => `Question ${place}`,
  leaveItOut: 'Leave it out',
  anotherQuestion: 'Another question',
  keepThem: 'Keep them',

  // WelcomeOf
  welcome: 'Welcome',
  whoArrivesReads: 'Who arrives reads it at the doorstep, and first of all at the seat. Empty it for none.',
  keepTheWelcome: 'Keep the welcome',
}
