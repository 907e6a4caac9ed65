/** The rehearsal with a simulated class. */
export const say = {
  // RehearseButton
  rehearseIt: 'Rehearse it',

  // Rehearsal
  openTheLesson: 'Open the lesson, and a simulated class comes to the door.',
  theClassIsSimulated: 'The class is simulated.',
  itIsOver: 'It is over.',
  rehearsal: 'Rehearsal',
  rehearsalStrong: 'Rehearsal.',
  nothingIsKeptAndNobody: (phase: string) => `${phase} Nothing is kept, and nobody is told.`,
  showMeAround: 'Show me around',
  letSomethingGoWrong: 'Let something go wrong',
  letSomethingGoWrongChoice: 'Let something go wrong…',
  theRehearsalIsOver: 'The rehearsal is over',
  theSimulatedClassGoesHome:
    'The simulated class goes home. No register was drafted, no word and no step is kept, and the link of the class is the same as before.',
  onceMore: 'Once more',
  toTheLessonItself: 'To the lesson itself',
}
