/** Founding a school, and signing in to the demo. */
export const say = {
  // Entrance
  juricast: 'Juricast',

  // DemoPeople
  safeguardingLead: 'Safeguarding lead',
  teachers: 'Teachers',
  pupils: 'Pupils',
  peopleOfTheDemo: 'People of the demo',
  thisIsTheDemoBeAnybody: 'This is the demo: be anybody',
  showMeAround: 'Show me around in a live lesson',
  findAPerson: 'Find a person',
  listOfPeople: 'List of people',

  // FirstStartScreen
  theSchool: 'the school',
  setUpYourSchool: 'Set up your school',
  thisMakesTheFirstAccount: 'This makes the first account: a safeguarding lead, who writes the charter. It can be done once.',
  setupWord: 'Setup word',
  itWasPrintedWhere: 'It was printed where the program was started. It shows that you are at the machine.',
  school: 'School',
  timeZone: 'Time zone',
  allTimesAreTold: 'All times are told in it.',
  yourName: 'Your name',
  nameToSign: 'Name to sign in with',
  password: 'Password',
  lettersOrSignsAtLeast: '10 letters or signs at least. Three or four words that have nothing to do with each other are good.',
  begin: 'Begin',
}
