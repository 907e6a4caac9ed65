/** Merits. */
export const say = {
  // Merits
  meritFor: (reason: string) => `Merit for ${reason}`,
  merit: '1 merit',
  merits: (count: number) => `${count} merits`,
  all: (pupils: number) => `All ${pupils}`,
  nobody: 'Nobody',
  toWhom: 'To whom',
  for: (why: string) => `for ${why}`,
  forSomethingElse: 'For something else',
  forSomethingElsePlaceholder: 'for something else',
  give: 'Give',
  justGivenCanBeTaken: 'Just given; can be taken back for some minutes',
  forSaid: (name: string, reason: string) => `${name} for ${reason}`,
  takeItBack: 'Take it back',
  withoutAMerit: (weeks: number, names: string, count: number, more: number) =>
    `Without a merit in the last ${weeks} weeks: ${names}${count > 12 ? ` and ${more} more` : ''}.`,
}
