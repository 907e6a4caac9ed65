/** Words. */
export const say = {
  // InRowMenu
  aPrivateWord: 'A private word…',

  // needs
  sendsAFile: 'sends a file',
  writes: 'writes',
  to: (to: string) => `to ${to}`,
  itOnlyYouRead: (because: string) => `It ${because}. Only you read it so far:`,
  letThrough: 'Let through',
  keepBack: 'Keep back',

  // WordsPanel
  pupilsWrite: 'pupils write to all',
  pupilsWriteToAdultsOnly: 'pupils write to adults only',
  onlyYouHearAllWords: (all: boolean, here: string) => (all ? `only ${here}` : `you hear ${here}; all words`),
  whyMayPupilsWrite: 'Why may pupils write so?',
  why: 'why',
  wordsOfTheLesson: 'Words of the lesson',
  nothingIsWrittenYet: 'Nothing is written yet.',
  toWhom: 'To whom',
  toAll: 'to all',
  toSaid: (name: string) => `to ${name}`,
  writeTo: (table: string) => `Write to ${table}`,
  writeToOnePupil: 'Write to one pupil',
  writeToTheClass: 'Write to the class',
  toGroup: (table: string) => `To ${table}`,
  aPrivateWordPlaceholder: 'A private word',
  writeToAll: 'Write to all',
  send: 'Send',
}
