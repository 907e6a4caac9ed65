/** What the frame of a page and its signs say to adults; pupils’ pages have the same frame. */
export const say = {
  // Notes
  fetching: (what: string) => `Fetching ${what}…`,

  // Page
  safeguardingLead: 'safeguarding lead',
  teacher: 'teacher',
  juricast: 'Juricast',

  // Shutter
  byAPass: ', by a pass',
  byACurb: ', by a curb',
  binding: ', binding',

  // Why
  inOtherSituations: 'In other situations',
  whoCanChange: 'Who can change it:',
  pupilsRead: (forPupils: string) => `Pupils read: “${forPupils}”`,
}
