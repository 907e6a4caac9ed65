/** The desk of a lesson, around its parts. */
export const say = {
  // DeskHead
  to: (starts: string, ends: string) => `${starts} to ${ends}`,
  left: 'left',
  overBy: ', over by',
  whyIsTheDoor: 'Why is the door so?',
  door: 'Door',
  muteAll: 'Mute all',
  stopEverything: 'Stop everything',
  dismissClass: 'Dismiss class',
  lookInCome: (observing: boolean) => (observing ? 'Look in' : 'Come in'),
  youLook: (overseeing: boolean) =>
    overseeing ? 'You look on, and may act at any time.' : 'You look on. Orders are for the adults of the lesson.',
  takeCharge: 'Take charge',
  goOut: 'Go out',
  dismissTheClass: 'Dismiss the class?',
  theRehearsalEndsEveryone: 'The rehearsal ends: everyone is out at once, and nothing is kept.',
  everyoneIsOutAtOnce:
    'Everyone is out at once, the door is shut, chat and board are kept, and the register is drafted from what was counted.',
  whoWaitAtTheDoor: (waiting: number) =>
    waiting > 0 ? ` ${waiting} who wait at the door are told that the lesson is over.` : '',
  dismissNow: 'Dismiss now',
  goOnTeaching: 'Go on teaching',
  backToTodaysLessons: "Back to today's lessons",
  theLessonGoes: 'The lesson goes on',
  youAre: (others: number) =>
    `You are in it. ${others > 0 ? 'Another adult is in, too. If you close this page, you count as out after some seconds.' : 'No other adult is in: if you go, the pupils are alone, and the room goes quiet by itself. To end it for everyone, dismiss the class.'}`,
  stay: 'Stay',
  goAllTheSame: 'Go all the same',
  more: 'More',
  endTheLightLessonLight: (light: boolean) => (light ? 'End the light lesson' : 'Light lesson: cameras off for weak links'),
  stopSharingOf: (name: string) => `Stop ${name}’s sharing`,
  stopShowing: 'Stop showing',
  showAWindowOfMine: 'Show a window of mine',
  endTheFocus: 'End the focus',
  rulesAndVisitors: 'Rules and visitors of this lesson (another tab)',
  stepOutAnotherAdultStays: 'Step out (another adult stays)',
  noConnectionTryingAgain: 'No connection. Trying again…',

  // NeedsYou
  needsYou: 'Needs you',
  oldestFirst: (queue: number) => (queue > 0 ? `${queue}, oldest first · ` : ''),
  aSoundAtAKnock: (sounds: boolean) => (sounds ? 'a sound at a knock' : 'no sound at a knock'),
  nobodyWaitsNoHand: 'Nobody waits, no hand is up. Teach on.',
  turnedAway: 'turned away.',
  in: 'in',

  // Panels
  panels: { Words: 'Words', Material: 'Material', Captions: 'Captions' },
  on: (name: 'Words' | 'Material' | 'Captions', serviceListens: boolean) => (name === 'Captions' && serviceListens ? ' on' : ''),

  // Axis
  toSaid: (step: string, from: string, until: string) => `${step}, ${from} to ${until}`,

  // Row
  missing: 'missing',
  waits: 'waits',
  lineLost: 'line lost',
  gone: 'gone',
  removed: 'removed',
  pressLendItForMin: (minutes: number) => `Press: lend it for ${minutes} min. Hold: more.`,
  pressEndItHoldMore: 'Press: end it. Hold: more.',
  backBy: (at: string) => `, back by ${at}`,

  // ToCome
  at: (what: string, clock: string) => `${what} at ${clock}`,
  inGroups: (step: string, groups: string) => `${step} in groups, ${groups}`,
  groups: (groups: string) => `groups: ${groups}`,
  allTogetherAgain: 'all together again',
  timeIsUp: (task: string) => `time is up: ${task}`,
  timeIsUpSays: 'time is up',
  asBefore: (rule: string) => `${rule} as before`,
  theBell: 'the bell',
  toCome: (toCome: string) => `To come: ${toCome}`,

  // Score
  lostTheLine: 'lost the line',
  classList: 'Class list',
  classListWithPresenceAndRights: 'Class list with presence and rights',
  ofHere: (here: number, pupils: number) => `${here} of ${pupils} here`,
  groupsButton: 'Groups',
  everyoneIsIn: 'everyone is in',
  nobodyIsAtTheDoor: 'nobody is at the door',
  presenceOverTime: (toComeIn: string) => `Presence over time. ${toComeIn}`,
  nobodyIsOnTheClass: 'Nobody is on the class list yet. Import a roster on the class page.',
  headingWholeClassCellOnePupil: 'heading: whole class · cell: one pupil',
  everythingAboutOnePupil: 'Everything about one pupil',
  aPupil: 'A pupil…',
  plannedForThisLesson: (right: string, value: string) =>
    `Planned for this lesson: ${right}, ${value}. It counts as soon as an adult is in.`,
  thenStance: (next: string, byTheClock: boolean) => `then ${next} ${byTheClock ? 'by the clock' : 'is proposed'}`,
  asPlanned: 'As planned',
  until: (from: string) => ` until ${from}`,

  // NoDesk
  thisDeskIsClosed: 'This desk is closed to you',
  toYourOwnPage: 'To your own page',

  // DeskScreen
  deskOf: (title: string) => `${title} · desk`,
  desk: 'Desk',
  theLesson: 'the lesson',
  whatNeedsYou: 'What needs you',
}
