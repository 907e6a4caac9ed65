/** The people of the school. */
export const say = {
  // positions
  safeguardingLead: 'safeguarding lead',
  teacher: 'teacher',
  pupil: 'pupil',

  // Leaving
  keptFor: (what: string, count: number, days: number) => `${what} (${count}, ${days} days)`,
  whatIsKeptAboutThem: 'What is kept about them',
  whatIsKept: (person: string) => `What is kept about ${person}`,
  everythingForTheFamilyZip: 'Everything, for the family (.zip)',
  theyLeaveOrAsk: 'They leave, or ask to be forgotten…',
  erased: 'Erased:',
  erasedAtOnce: 'Erased at once:',
  nothingMore: 'nothing more',
  keptOnByRules: 'Kept on by rules, and erased on time:',
  toEraseItTypeTheName: (person: string) => `To erase it, type the name: ${person}`,
  eraseItAndEndTheAccount: 'Erase it, and end the account',

  // Code
  signsInAs: (given: string) => `${given} signs in as`,
  withThisCodeOnceUntil: (until: string) =>
    `with this code, once, until ${until}. Then a password of the own is chosen. Hand it over in person; it is not shown again.`,
  copyTheCode: 'Copy the code',

  // AddPerson
  addAPerson: 'Add a person',
  name: 'Name',
  nameToSign: 'Name to sign in with',
  youGetACode: 'You get a code to hand over; the password is chosen at the first sign-in.',
  add: 'Add',
  isA: 'Is a',
  yearGroup: 'Year group',

  // AccountSheet
  accountOf: (person: string) => `Account of ${person}`,
  theWayIn: 'The way in',
  aNewCodeCountsOnce: 'A new code counts once and for a week. Whoever is signed in with the old password is signed out.',
  giveANewCodeGive: (signIn: string) => (signIn ? 'Give a new code' : 'Give an account'),
  endTheSecondFactorTelephoneLost: 'End the second factor (telephone lost)',
  whatTheSchoolSaysOfThem: 'What the school says of them',
  correctIt: 'Correct it',
  corrected: 'Corrected.',
  whenTheAccountEnds: 'When the account ends',
  theAccountEnds: 'The account ends on',
  fromThatDayOnNobody: 'From that day on nobody signs in with it, and whoever is signed in is out. Records stay.',
  endItOnThatDay: 'End it on that day',
  endItNow: 'End it now',
  letItCountAgain: 'Let it count again',

  // SchoolFiles
  pupilsAreNewToTheSchool: 'pupils are new to the school',
  namesAreWrittenDifferently: 'names are written differently',
  areInAnotherYear: 'are in another year',
  classesAreNew: 'classes are new',
  joinAClass: 'join a class',
  leaveAClass: 'leave a class',
  theSchoolAsFiles: 'The school as files',
  anArchiveZip:
    'An archive (.zip) with the tables users, classes and enrollments of the OneRoster CSV binding, version 1.1 or 1.2. Nothing changes before you have seen it; adults are never added by a file.',
  filesOfTheSchool: 'Files of the school',
  reading: 'Reading',
  theFilesAreTaken: 'The files are taken.',
  whatTheFilesWouldChange: 'What the files would change',
  whichSchoolIsYours: 'Which school is yours',
  theFilesAreOfSeveral: 'The files are of several. Nothing is read before you have said it.',
  sayWhich: 'Say which…',
  users: (name: string, users: number) => `${name}, ${users} users`,
  nothingWouldChange: 'Nothing would change.',
  andMore: (names: string, count: number, more: number) => `${names}${count > 300 ? ` and ${more} more` : ''}`,
  thingIsNotTaken: (wrongInAll: number) =>
    wrongInAll === 1 ? '1 thing is not taken or to be known' : `${wrongInAll} things are not taken or to be known`,
  nothingToTakeTakeTheseFiles: (changes: number) => (changes === 0 ? 'Nothing to take' : 'Take these files'),
  leaveIt: 'Leave it',
  takeTheSchoolOutAsFiles: 'Take the school out as files',
  inTheOlderVersion: 'in version 1.2',

  // PeopleScreen
  people: 'People',
  thePeople: 'the people',
  inAllPupilsWithout: (data: number) => `${data} in all. Pupils without an account join by link and join word.`,
  findAPerson: 'Find a person',
  year: (position: string, year: number) => `${position}${year > 0 ? `, year ${year}` : ''}`,
  noAccount: 'no account',
  ended: ' · ended',
  until: (ends: string) => ` · until ${ends}`,
  codeNotUsedYet: ' · code not used yet',
  accountOfSaid: (name: string) => `Account of ${name}`,
  account: 'Account',
  andMoreFindThemByName: (found: number) => `and ${found} more: find them by name.`,
  nobodyOfThatName: 'Nobody of that name.',
}
