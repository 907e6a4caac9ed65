/** The inspection of what is planned. */
export const say = {
  // MendSheet
  mendThisMendWeakSpots: (keys: number) => (keys === 1 ? 'Mend this?' : `Mend ${keys} weak spots?`),
  workingOutWhatItWouldBring: 'Working out what it would bring…',
  thisWouldBeDoneChanges: (mends: number) => (mends === 1 ? 'This would be done' : `${mends} changes would be made`),
  times: (words: string, times: number) => `${words}${times > 1 ? ` (${times} times)` : ''}`,
  weakWouldBeGone: (gone: number) => `${gone} weak ${gone === 1 ? 'spot' : 'spots'} would be gone`,
  noneWouldAppearWouldAppear: (appearing: number) => (appearing === 0 ? 'None would appear' : `${appearing} would appear`),
  mendingCarryItOut: (isPending: boolean) => (isPending ? 'Mending…' : 'Carry it out'),
  leaveIt: 'Leave it',
  andMore: (spots: number) => `and ${spots} more`,

  // Spot
  weakSpot: 'Weak spot',
  to: (day: string, from: string, until: string) => `, ${day}, ${from} to ${until}`,
  whyItMatters: 'Why it matters.',
  byTheRule: 'By the rule',
  askForTheirConsent: 'Ask for their consent',
  seeItInTheTimetable: 'See it in the timetable',
  class: 'Class',
  acceptIt: 'Accept it…',
  thisOneNeedsADecision: 'This one needs a decision; change the lesson in the timetable, the class, or the rules.',
  toSaid: (title: string, starts: string, until: string) => `${title}, ${starts} to ${until}`,
  acceptThisWeakSpot: 'Accept this weak spot',
  whyItMayStay: 'Why it may stay',
  until: 'Until',
  thenItIsOpenAgain: 'Then it is open again.',
  iAnswer: 'I answer for it',
  leaveItOpen: 'Leave it open',

  // Trend
  theTrendBeginsToday: 'The trend begins today: each day that you look is kept.',
  dangersAndWeakSpotsOverTime: 'Dangers and weak spots over time',
  on: (words: string, day: string) => `${words} on ${day}`,
  today: 'today',

  // InspectionScreen
  inspection: 'Inspection',
  theInspection: 'the inspection',
  plannedLessonsAgainstTheRules: (lessons: number, position: 'LEAD' | 'TEACHER' | 'PUPIL') =>
    `${lessons} planned lessons against the rules of their day and against each other. ${position === 'LEAD' ? 'The whole school.' : 'What concerns your classes.'}`,
  noWeakSpotIsOpen: 'No weak spot is open. What is planned keeps the rules.',
  mendAll: (mendable: number) => `Mend all ${mendable}`,
  everyLesson: 'every lesson',
  showFewerShow: (all: boolean, spots: number) => (all ? 'Show fewer' : `Show all ${spots}`),
  weakSpots: 'weak spots',
  mendedMendsCarriedOut: (mends: number) => (mends === 1 ? 'Mended.' : `${mends} mends carried out.`),
  undo: 'Undo',
  fine: 'Fine',
  accepted: 'Accepted',
  untilWord: ', until',
  lookAtItAgain: 'Look at it again',
}
