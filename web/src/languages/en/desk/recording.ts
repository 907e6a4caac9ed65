/** The recording. */
export const say = {
  // DeskRecording
  somebodyConfides: 'Somebody confides',
  healthOrFamily: 'Health or family',
  namesMarksOrAddressesAreShown: 'Names, marks or addresses are shown',
  aBreak: 'A break',
  anotherReason: 'Another reason',
  notRecorded: 'Not recorded',
  recordingBegins: 'Recording begins',
  recording: 'Recording',
  recordingPaused: 'Recording paused',
  notRecording: 'Not recording',
  min: (minutes: number) => `${minutes} min`,
  pauses: 'pauses',
  recordEverybodyIsToldTen: 'Record: everybody is told ten seconds before',
  theRulesWantThisLesson: (mode: 'REQUIRED' | 'OPTIONAL' | 'FORBIDDEN') =>
    mode === 'REQUIRED' ? 'The rules want this lesson recorded' : mode === 'OPTIONAL' ? 'May be recorded' : 'Not to be recorded',
  tryAgainNow: 'Try again now',
  pause: (says: string) => `Pause: ${says}`,
  goOnRecording: 'Go on recording',
  callItOffEndTheRecording: (phase: 'FAILED' | 'ANNOUNCED' | 'ASKED' | 'ON') =>
    phase === 'ANNOUNCED' ? 'Call it off' : 'End the recording',
  theRulesLetNobodyHere: 'The rules let nobody here end it before the lesson.',
  nothingIsRecordedForNow: 'Nothing is recorded for now:',
  itGoesOnByItself: (says: string) => `${says}. It goes on by itself.`,
  theRecorderDoesNotRecord: (says: string) => `The recorder does not record: ${says}. It is asked again and again by itself.`,
  beginsInS: (seconds: number) => `Begins in ${seconds} s.`,
  everybodyWasTold: 'Everybody was told.',
  callItOff: 'Call it off',
  for: (countdown: string) => `for ${countdown}`,
  goesOnByItself: (countdown: string) => `Goes on by itself in ${countdown}.`,
  itLastsUntilYouLet: 'It lasts until you let it go on.',
  byItselfInMin: (each: number) => `by itself in ${each} min`,
  theirVoiceAndCameraAreClosed: 'their voice and camera are closed',
  theRecordingWaitsWhileTheySpeak: 'the recording waits while they speak',
  nothingIsRecordedWhile: 'nothing is recorded while they are here',
  refused: 'refused',
  withdrawn: 'withdrawn',
  nothingIsKnown: 'nothing is known',
  notRecordedSaid: (unheard: string, what: string) => `Not recorded: ${unheard}; ${what}`,

  // needs
  thisLesson: (required: boolean) =>
    required ? 'This lesson has to be recorded; what is missing is noted with its cause.' : 'It is tried again by itself.',
  by: (says: string, by: string) => `${says}, by ${by}.`,
  minMore: '5 min more',

  // recording
  notRecordedShort: 'not recorded',
  notToBeRecorded: 'not to be recorded',
}
