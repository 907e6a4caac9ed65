/** Slates. */
export const say = {
  // SlatesMaker
  whatToDrawOrWrite: 'What to draw or write',
  orLeaveItEmpty: 'Or leave it empty and say it.',

  // Wall
  slateIn: 'in',
  worksOn: 'works',
  emptySlate: 'empty',
  slates: 'Slates',
  ofIn: (isIn: number, all: number, collected: boolean, shown: number, named: boolean) =>
    `${isIn} of ${all} in${collected ? ' · collected' : ''}${shown > 0 ? ` · the class sees ${shown}${named ? '' : ', without names'}` : ''}`,
  classList: 'Class list',
  allSlates: 'All slates',
  slate: 'slate ',
  marks: (marks: number) => `${marks} marks`,
  shown: (isShown: boolean, word: string) => (isShown ? 'shown' : word),
  theSlateHeld: 'The slate held',
  isIn: (isIn: boolean, word: string) => (isIn ? 'is in' : word),
  theSlateOfMarks: (name: string, marks: number) => `The slate of ${name}, ${marks} marks`,
  before: 'before',
  next: 'next',
  showToTheClass: 'Show to the class',
  withoutTheName: 'without the name',
  besideThoseShown: 'beside those shown',
  showNone: 'Show none',
  giveBack: 'Give back',
  aSlateIsSeen: 'A slate is seen by its pupil and by the adults. The class sees what you show, as it is at that moment.',
  giveAllBack: 'Give all back',
  collectAll: 'Collect all',
  wipeAndBeginAgain: 'Wipe and begin again…',
  wipeAllSlates: 'Wipe all slates?',
  everybodyBeginsAgain: 'Everybody begins again with an empty slate. What was handed in so far stays in the lesson’s record.',
  wipeAndBeginAgainAct: 'Wipe and begin again',
  putSlatesAway: 'Put slates away',
}
