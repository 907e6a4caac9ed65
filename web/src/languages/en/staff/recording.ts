/** One recording, as adults see it; who else may watch it reads the book of watching. */
export const say = {
  // RecordingScreen
  recordedAhead: 'recorded ahead',
  keptUntil: (keptUntil: string, isExtended: boolean) => `kept until ${keptUntil}${isExtended ? ', by the lead' : ''}`,
  untilTheEnd: 'Until the end of',
  whoAsks: 'Who asks',
  asks: (copy: boolean, why: string) => `asks ${copy ? 'for a copy' : 'to watch it'}${why}`,
  openUntil: (letUntil: string) => `Open until ${letUntil}`,
  refused: 'Refused',
  letFor14Days: 'Let for 14 days',
  refuse: 'Refuse',
  kept: 'Kept',
  itLies: (where: string) => `It lies ${where}.`,
  byTheRuleUntil: (byRuleUntil: string) => `By the rule until ${byRuleUntil}. `,
  hasItKeptUntil: (extendedBy: string, extendedUntil: string, extendedWhy: string) =>
    `${extendedBy} has it kept until ${extendedUntil}: ${extendedWhy}. `,
  somethingOfThisLesson: (isHeld: boolean) =>
    isHeld ? 'Something of this lesson is held as evidence, so it is not deleted.' : '',
  theClass: 'The class',
  theRecordOfTheLesson: 'The record of the lesson',
  whoHasWatched: (watched: number, watchers: number) => `Who has watched: ${watched} of ${watchers}`,
  keepItLonger: 'Keep it longer',
  deleteItNow: 'Delete it now',
  deleteThisRecording: 'Delete this recording?',
  nothingCanBringItBack: 'Nothing can bring it back. That there was one, and why it went, is said for ever.',
  why: 'Why',
  deleteIt: 'Delete it',
  keepIt: 'Keep it',

  // Controls
  s: '−10 s',
  sButton: '+10 s',
}
