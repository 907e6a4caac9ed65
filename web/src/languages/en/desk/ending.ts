/** The end of a lesson. */
export const say = {
  // OverNote
  theLinkCountsNoMore: 'The link counts no more; a new one is on the class page.',
  groupsWereTogetherAgain: (count: number) => `${count} groups were together again.`,
  nothingWasWritten: 'Nothing was written.',
  keptInTheRecord: (count: number, it: string) => `${count} ${it} kept in the record.`,
  theBoardWasEmpty: 'The board was empty.',
  theBoardIsKeptWith: (count: number, it: string) => `The board is kept, with ${count} ${it}.`,
  theRecordingIsKept: (count: number, it: string) => `The recording is kept: ${count} ${it}.`,
  theRegisterIsDraftedHere: (count: number, it: string) => `The register is drafted: ${count} ${it} here.`,
  dismissedAt: (dismissedAt: string) => `Dismissed at ${dismissedAt}`,
  theDoorIsShutThis: 'The door is shut. This was done by itself:',
  everyoneHasGoneStillLeaving: (leaving: number) => (leaving === 0 ? 'Everyone has gone' : `${leaving} still leaving`),
  noDeviceOfAPupil: (leaving: number, leaving2: string) =>
    leaving === 0 ? 'No device of a pupil is in the room any more.' : leaving2,
  lookAtTheRegister: 'Look at the register',
}
