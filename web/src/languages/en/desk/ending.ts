/** The end of a lesson. */
export const say = {
  // OverNote
  theLinkCountsNoMore: 'The link counts no more; a new one is on the class page.',
  groupsWereTogetherAgain: (count: number) => `${count} groups were together again.`,
  nothingWasWritten: 'Nothing was written.',
  keptInTheRecord: (count: number) => `${count} ${count === 1 ? 'message' : 'messages'} kept in the record.`,
  theBoardWasEmpty: 'The board was empty.',
  theBoardIsKept: (count: number) => `The board is kept, with ${count} ${count === 1 ? 'line' : 'lines'}.`,
  theRecordingIsKept: (count: number) => `The recording is kept: ${count} ${count === 1 ? 'minute' : 'minutes'}.`,
  theRegisterIsDraftedHere: (count: number) => `The register is drafted: ${count} ${count === 1 ? 'was' : 'were'} here.`,
  dismissedAt: (dismissedAt: string) => `Dismissed at ${dismissedAt}`,
  theDoorIsShut: 'The door is shut. This was done by itself:',
  everyoneHasGoneStillLeaving: (leaving: number) => (leaving === 0 ? 'Everyone has gone' : `${leaving} still leaving`),
  noDeviceOfAPupil: (leaving: number, whoIsLeaving: string) =>
    leaving === 0 ? 'No device of a pupil is in the room any more.' : whoIsLeaving,
  lookAtTheRegister: 'Look at the register',
}
