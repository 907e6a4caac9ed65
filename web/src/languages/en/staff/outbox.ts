/** The outbox. */
export const say = {
  // OutboxScreen
  reminder: 'reminder',
  nudge: 'nudge',
  change: 'change',
  newLink: 'new link',
  letter: 'letter',
  worry: 'worry',
  invitation: 'invitation',
  outbox: 'Outbox',
  remindersNudgesAndNoticesGo:
    'Reminders, nudges and notices go out by themselves, when the rules say so. Nothing leaves this machine: a stand-in takes the place of mail and text messages, and this is what it was given.',
  kind: 'Kind',
  allKinds: 'all kinds',
  to: 'To',
  partOfAName: 'part of a name',
  theOutbox: 'the outbox',
  nothingOfThisKindWent: (kind: string, name: string) =>
    kind || name ? 'Nothing of this kind went out to them.' : 'Nothing went out yet. Reminders go out before lessons.',
  showOlderOnes: 'Show older ones',
  toToPeople: (count: number, first: string, names: string) => (count === 1 ? `to ${first}` : `to ${count} people: ${names}`),
  toSaid: (way: 'MAIL' | 'TEXT', name: string) => `${way === 'TEXT' ? 'As a text message' : 'By mail'} to ${name}`,
  theSchoolsWords: "The school's words",
  for: 'For',
  ownWords: (title: string, own: boolean) => `${title}${own ? ' (own words)' : ''}`,
  subject: 'Subject',
  words: 'Words',
  inBracesStandsWhatDiffers: (places: string) => `In braces stands what differs: ${places}`,
  useTheseWords: 'Use these words',
  backToTheUsualWords: 'Back to the usual words',
  theSafeguardingLeadChoosesTheWords: 'The safeguarding lead chooses the words.',
}
