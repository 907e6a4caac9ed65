/** Stepping into a lesson from a link. */
export const say = {
  // BringScreen
  itIsOnTheBoard: 'It is on the board',
  youSee: (title: string) => `You see it at the desk of ${title}. You can close this page; the link is used up.`,
  thisLink: 'This link is of no use any more',
  itIsGoodOnce: 'It is good once, for ten minutes. Ask for a new one at the desk: Board, Pages and files.',
  theLink: 'the link',
  aPictureForTheBoard: 'A picture for the board',
  forEverybodyInTheLesson: (title: string) => `For ${title}. Everybody in the lesson sees it as soon as you choose it.`,
  yourPictureOntoTheBoard: 'your picture onto the board',
  takeOrChooseAPicture: 'Take or choose a picture',
}
