/** What is shown and handed out. */
export const say = {
  // Captions
  captions: 'Captions',
  theServiceListensItWrites: (serviceListens: boolean) =>
    serviceListens
      ? 'The service listens. It writes what is said into open microphones.'
      : 'No captions yet. Each reader switches them on for themselves.',
  allOfThem: 'All of them as a WebVTT file',
  letTheServiceStopListening: (serviceListens: boolean) =>
    serviceListens ? 'Let the service stop listening' : 'Let the service write along',
  whatIsBeingSaid: 'What is being said',
  caption: 'Caption',

  // Material
  handedOut: 'Handed out',
  nothingIsHandedOut: 'Nothing is handed out. Who comes late finds all of it.',
  takeBack: 'Take back',
  whatYouHandOut: 'What you hand out',
  whatItIs: 'What it is',
  linkOrNote: 'Link or note',
  handOut: 'Hand out',
}
