/** Rights: lending, taking back, switching for the class. */
export const say = {
  // DeskMore
  letPupilsSeeWhoIsHere: 'Let pupils see who is here',
  hideFromPupilsWhoIsHere: 'Hide from pupils who is here',
  letPupilsSeeEachOthersCameras: 'Let pupils see each other’s cameras',
  hideCamerasFromEachOther: 'Hide cameras from each other',
  endPassingTheLesson: (name: string) => `End passing the lesson on (${name})`,
  showAllOfMyScreen: 'Show all of my screen',
  passTheLesson: 'Pass the lesson on to people outside',

  // needs
  minMore: '2 min more',
  endNow: 'End now',
  byTheRunningOrderNothing: 'By the running order. Nothing changes until you say so.',
  switchTo: (stance: string) => `Switch to ${stance}`,

  // Lending
  notIn: ' (not in)',
  with: 'with',
  and: (place: number) => (place > 0 ? 'and ' : ''),
  lendRights: (name: string) => `Lend ${name} rights`,
  helpsYou: (adult: string) => `${adult} helps you`,
  untilEndItNow: (isLent: boolean, until: string) => `${isLent ? 'lent' : 'closed'} until ${until}: end it now`,
  takeAwayForMin: (minutes: number) => `take away for ${minutes} min`,
  lendForMin: (minutes: number) => `lend for ${minutes} min`,

  // StanceButton
  stance: 'Stance:',
  asPlanned: 'as planned',
  switchToWord: 'Switch to',
  switchToSaid: (next: string) => `Switch to ${next}?`,
  whatItChanges: 'what it changes',
  forPupilsNothingChanges: 'For pupils nothing changes: all it says holds already.',
  youOrdered: (before: string) => `(you ordered ${before})`,
  switch: (held: number) => `Switch${held > 0 ? ', and drop my orders' : ''}`,
  switchAndKeepMyOrders: 'Switch, and keep my orders on top',
  stayAs: 'Stay as it is',

  // RunningOrderPlan
  runningOrder: 'Running order',
  nonePlannedAddAStance: 'None planned. Add a stance for each phase, or switch by hand.',
  inGroups: ', in groups:',
  prepared: 'prepared',
  min: (minutes: number) => `${minutes} min`,
  takeOut: 'Take out',
  stanceToAdd: 'Stance to add',
  aStance: 'a stance',
  minutes: 'Minutes',
  inGroupsLabel: 'In groups',
  allTogether: 'all together',
  inGroupsSaid: (name: string) => `in groups: ${name}`,
  add: 'Add',
  minArePlannedTheLesson: (sum: number, length: number) =>
    sum > length
      ? `${sum} min are planned, the lesson lasts ${length}: what is beyond its end does not come.`
      : sum < length
        ? `${sum} of ${length} min; the last stance lasts to the end.`
        : `${sum} min, as long as the lesson.`,
  switchByTheClockWithout: 'Switch by the clock, without asking me',

  // RightCells
  forTheClass: 'for the class:',
  binding: ', binding',
  inThisLesson: (value: string) => `${value} in this lesson`,
  forAllPupils: (value: string) => `${value} for all pupils`,
  closedForMinThenAsNow: (minutes: number) => `closed for ${minutes} min, then as now`,
  whyIs: 'Why is it so?',
  endTheNow: (loan: 'PASS' | 'CURB') => `End the ${loan === 'PASS' ? 'pass' : 'curb'} now`,
  passForMin: (minutes: number) => `pass for ${minutes} min`,
  closeForMin: (minutes: number) => `close for ${minutes} min`,

  // Muted
  allMutedToSpeakEnded: (passes: number) => `All muted; ${passes === 1 ? '1 pass' : `${passes} passes`} to speak ended.`,
  giveBack: (passes: number) => `Give ${passes === 1 ? 'it' : 'them'} back`,
}
