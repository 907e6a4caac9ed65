/** Notices and the welcome. */
export const say = {
  // notices
  announcement: 'Announcement',
  announced: 'Announced:',
  takeItDown: 'Take it down',
  staysOnTopOfEverybodys: 'Stays on top of everybody’s page until you take it down; up to three at a time.',
  putItUp: 'Put it up',
  welcome: 'Welcome',
  whoeverArrivesFromNow: 'Whoever arrives from now on reads it at the door and first at the seat. Empty it for none.',
  welcomeThemSo: 'Welcome them so',
}
