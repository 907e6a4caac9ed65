/** Watching over the room. */
export const say = {
  // RoomBanner
  everythingIsStoppedSince: (stoppedAt: string) =>
    `Everything is stopped since ${stoppedAt}: all muted, chat, drawing and sharing closed, the door shut. Pupils can still write to you.`,
  bringBack: 'Bring back what was',
  because: (stoppedBecause: string) => `Because: ${stoppedBecause}`,
  aLastWord: (lastWord: string) =>
    `A last word with ${lastWord}. All others have gone; nobody comes in. Dismiss when it is said.`,
  theLeadAdult: 'The lead adult',
  leadsYouHelpStoppingEverything: (askFirst: string) =>
    `leads. You help; stopping everything and removing somebody are always yours.${askFirst ? ` Ask first for: ${askFirst}.` : ''}`,
  noAdult: 'No adult is in the room, for',
  now: (quiet: boolean) => `now. ${quiet ? 'It has gone quiet by itself; the lead was told.' : 'It will go quiet by itself.'}`,
  on: (names: string, count: number) => `${names} ${count === 1 ? 'looks' : 'look'} on.`,
  lightLessonCamerasAreClosed: 'Light lesson: cameras are closed',
  isInFocus: (name: string) => `${name} is in focus`,
  showsSomething: (showingName: string) => `${showingName} shows something`,
  whyEverythingIsStopped: 'Why everything is stopped, for the record',
  whatHappenedForTheRecord: 'What happened? For the record',
  noteIt: 'Note it',
}
