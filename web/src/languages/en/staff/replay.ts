/** A lesson seen again from its record. */
export const say = {
  // InGroups
  inGroups: 'In groups',
  andAreKeptApart: (one: string, other: string, reason: string, group: string, from: string, until: string) =>
    `${one} and ${other} are kept apart${reason} and were in ${group} together from ${from} to ${until}.`,
  withoutAnAdult: (countdown: string) => `${countdown} without an adult`,
  alwaysSeenByAnAdult: 'always seen by an adult',

  // ReplayScreen
  replay: 'Replay',
  theRecordOfTheLesson: 'the record of the lesson',
  replayHeading: 'Replay:',
  takeTheRecordOut: 'take the record out',
  toDragTheLineOrUse: (day: string, from: string, until: string) => `${day}, ${from} to ${until}. Drag the line, or use`,
  forAMinute: 'for a minute and',
  forTheNextThingThatHappened: 'for the next thing that happened.',
  theLesson: 'the lesson as it was',
  momentOfTheLesson: 'Moment of the lesson',
  notCome: 'not come',
  atTheDoor: 'at the door',
  in: 'in',
  lostTheLine: 'lost the line',
  left: 'left',
  removed: 'removed',
  door: (door: string) => `: door ${door}`,
  stance: (stance: string) => `, stance ${stance}`,
  everythingStopped: ', everything stopped',
  quietWithoutAnAdult: (quiet: boolean, adults: number, names: string) =>
    `${quiet ? ', quiet without an adult' : ''}; ${adults > 0 ? `${names} in the room` : 'no adult in the room'}`,
  theClass: 'The class as it was',
  pupil: 'Pupil',
  where: 'Where',
  on: 'On',
  handUp: ', hand up',
  microphone: 'microphone',
  camera: 'camera',
  screen: 'screen',
  whatHappened: 'What happened',
  everything: 'everything',
  forEverybody: 'for everybody',
  pass: 'pass',
  curb: 'curb',
  againstThePlan: 'Against the plan',
  timesMin: (by: string, orders: number, minutes: number) => `${by}: ${orders} times, ${minutes} min in all`,
  nothingWasSetOtherwise: (departures: number, keepers: string, alone: number, groups: number, minutes: number) =>
    `${departures === 0 ? 'Nothing was set otherwise than planned, lent or taken.' : keepers} ${alone === 0 ? (groups > 0 ? 'An adult was in the lesson all the time; how long each group had none stands above.' : 'Pupils were never without an adult.') : `Pupils were without an adult for ${minutes} min.`}`,
  everybody: 'everybody',
}
