/** Hands, signs and focus. */
export const say = {
  // Focus
  notInFocus: 'not in focus',
  wouldRatherNotBeShown: 'would rather not be shown to everyone',
  asked: 'asked',
  isAskedToBeShown: 'is asked to be shown to everyone',
  takeTheQuestionAboutFocus: (isAsked: boolean) => (isAsked ? 'Take the question about focus back' : 'End the focus'),
  putInFocusForEveryone: 'Put in focus for everyone',

  // needs
  letSpeak2Min: 'Let speak 2 min',
  lower: 'Lower',
  allDown: (hands: number) => `All ${hands} down`,
  all: (hands: number) => `all ${hands}`,
  iSawYourSignalWrite: 'I saw your signal. Write to me what is wrong.',
  askWhatIsWrong: 'Ask what is wrong',
  hasNotSpokenYet: 'Has not spoken yet in this lesson.',
  hasSpokenOnce: 'Has spoken once.',
  hasSpokenTimes: (times: number) => `Has spoken ${times} times.`,

  // SignCounts
  agree: 'agree',
  disagree: 'disagree',
  slower: 'slower',
  faster: 'faster',
  aBreak: 'a break',
  cannotHear: 'cannot hear',
  signals: 'Signals',
  clearSignals: 'clear signals',
}
