/** The list of activities. */
export const say = {
  // Activities
  question: 'Question',
  clock: 'Clock',
  first: 'First',
  slates: 'Slates',
  merits: 'Merits',
  announce: 'Announce',
  withTheClass: 'With the class',
  board: 'Board',
  step: 'Step',
  mark: 'Mark',
  whatToStart: 'What to start',
}
