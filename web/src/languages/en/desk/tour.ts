/** The tour of the demo lesson. */
export const say = {
  // steps
  openTheLesson: 'Open the lesson. You are in first; pupils come after you.',
  comeInWithoutAnAdult: 'Come in. Without an adult in it a room goes quiet by itself.',
  someWaitWhoseNames:
    'Some wait whose names are surely on the class list. Let them in: press A, or the black button under “Needs you”.',
  inAMomentSomebody: 'In a moment somebody of the class knocks.',
  aHandIsUpPress: 'A hand is up. Press S: its owner may speak for two minutes, and then the right is taken back by itself.',
  inAMomentAH: 'In a moment a hand goes up.',
  writeToAllPressW: 'Write to all: press W, some words, and Enter.',
  changeManyRightsAtOnce: 'Change many rights at once: choose another stance, at the top or with N where one is due.',
  closeOneRight:
    'Close one right for one pupil: hold the sign in their row, or choose the pupil under the list, then “close for”.',
  somebodyHasToBeInFirst: 'Somebody has to be in first.',
  whenItGetsOut: 'When it gets out of hand: press Esc twice. Everything is closed at once, and everybody stays.',
  bringBack: 'Bring back what was before, with the button in the red line.',
  dismissTheClassNobody: 'Dismiss the class. Nobody is left behind without an adult.',

  // Tour
  shownAround: 'Shown around',
  of: (place: number, sTEPS: number) => `${place} of ${sTEPS}`,
  skipThis: 'Skip this',
  thatWasAWholeLesson: 'That was a whole lesson. What each page is for stands behind its “?”.',
  endTheTour: 'End the tour',
  close: 'Close',
}
