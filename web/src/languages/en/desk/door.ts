/** The door: who waits, who is let in. */
export const say = {
  // needs
  theSeatIsKeptComing: 'The seat is kept; coming back needs no knock.',
  backBy: (backBy: string) => ` Back by ${backBy} it is no gap in the register.`,
  waits: ' waits',
  onTheClassListWait: (waiting: number) => `${waiting} on the class list wait`,
  letInLet: (waiting: number) => (waiting === 1 ? 'Let in' : `Let all ${waiting} in`),
  moreOne: (waiting: number) => (waiting === 1 ? 'More' : 'One by one'),
  theRulesLet: 'The rules let in one by one: look at each.',
  letIn: 'Let in',
  turnAway: 'Turn away',
  aCallFrom: (waiting: string) => `A call from ${waiting}`,
  letInAs: 'Let in as',
  letInAsButton: 'Let in as…',
  asAGuest: 'As a guest…',
  everyoneOnTheClassList: 'Everyone on the class list is here. Let them in as a guest, or turn them away.',
  whoIs: (waiting: string) => `Who is ${waiting}?`,
  whoOfThoseNotHere: 'Who of those not here?',
  asAGuestSaid: (waiting: string) => `${waiting} as a guest`,
  theGuestsName: 'The guest’s name',
  noteToTheSafeguardingLead: 'Note to the safeguarding lead',
  whoItIsAndWhy: 'Who it is and why: the lead reads this',
  letInForThisLesson: 'Let in for this lesson',
  why: (text: string) => `Why: ${text}`,
  whyButton: 'why',

  // OpeningNote
  openAndTell: 'Open, and tell who is not there',
  notOpenYet: 'Not open yet',
  nobodyIs: (before: number, until: string, starts: string) =>
    `${before > 0 ? `Begins in ${until}, at ${starts}.` : `Should have begun at ${starts}.`} Nobody is in. When you open, you are in first; pupils then wait or walk in as the door says.`,
  openTheLesson: 'Open the lesson',
  rehearseItWithASimulatedClass: 'Rehearse it with a simulated class',
  whoKnocks: 'Who knocks',
  nobodyYet: 'Nobody yet.',
  notOnTheClassList: 'not on the class list',

  // Nudge
  nudge: 'Nudge',
  notSentTryAgain: ' not sent, try again',
  nudgedNudgedAMomentAgo: (nudged: number) => (nudged > 0 ? ` ${nudged} nudged` : ' nudged a moment ago'),

  // RowMenu
  mute: 'Mute',
  switchTheCameraOff: 'Switch the camera off',
  stopSharing: 'Stop sharing',
  moreFor: (pupil: string) => `More for ${pupil}`,
  agreedToTheHouseRules: (agreed: boolean) =>
    agreed ? 'agreed to the house rules at the door' : 'has not agreed to the house rules',
  lowerTheHand: 'Lower the hand',
  trustWithHelping: 'Trust with helping…',
  aLastWordAllOthersOut: 'A last word, all others out…',
  allowToComeBack: 'Allow to come back',
  removeFromTheLesson: 'Remove from the lesson…',
  helpsYou: (pupil: string) => `${pupil} helps you`,
  aLastWord: (pupil: string) => `A last word with ${pupil}?`,
  theLessonEnds:
    'The lesson ends for all other pupils and visitors at once, and nobody comes in any more. By the rules of most lessons a second adult must be in the room; if they go, it ends by itself.',
  sendTheOthersHome: 'Send the others home',
  goOnTeaching: 'Go on teaching',
  remove: (pupil: string) => `Remove ${pupil}?`,
  isOutAtOnce: 'is out at once, with every device. Coming back is decided by the charter, and you see it here.',
  whatHappened: 'What happened',
  keptWithTheLessonPupils: 'Kept with the lesson. Pupils do not see it.',
  removeButton: 'Remove',
  keepInTheLesson: 'Keep in the lesson',
}
