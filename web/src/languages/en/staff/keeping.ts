/** How rules were kept. */
export const say = {
  // KeepingScreen
  ofAll: (count: number, all: number) => `${count} of ${all}`,
  keptToThePlan: 'Kept to the plan',
  howLessonsKeptToTheirPlan: 'how lessons kept to their plan',
  whatAdultsSetOtherwiseWhile: (isLead: boolean) =>
    `What adults set otherwise while they taught, in the lessons ${isLead ? 'of the school' : 'of your classes'}.`,
  noLessonWasHeld: 'No lesson was held between these days.',
  lessonsWentAsPlanned: 'lessons went as planned',
  departuresInTheOthers: 'departures in the others',
  min: (aloneMinutes: number) => `${aloneMinutes} min`,
  withoutAnAdultWithout: (lessonsAlone: number) =>
    lessonsAlone === 0
      ? 'without an adult'
      : `without an adult, in ${lessonsAlone === 1 ? 'one lesson' : `${lessonsAlone} lessons`}`,
  thePlanMayNotFit: 'The plan may not fit.',
  inEveryThirdLesson: 'In every third lesson or more, adults set otherwise:',
  of: (name: string, departed: number, lessons: number) => `${name} (${departed} of ${lessons})`,
  aClassCan: '. A class can',
  planIt: 'plan it',
  orAStance: ', or a stance can.',
  lessonsThatDeparted: (chosen: string) => `Lessons that departed: ${chosen}`,
  lessonsThatDepartedTheLatestFirst: 'Lessons that departed, the latest first',
  allLessons: 'All lessons',
  noneEveryLessonWent: 'None. Every lesson went as it was planned.',
  moreAreNotShownChoose: (driftedInAll: number) => `${driftedInAll} more are not shown; choose fewer days, a rule or a class.`,
  byRule: 'By rule',
  byClass: 'By class',
  byAdult: 'By adult',
  setTo: 'set to',
  lentTo: 'lent to',
  takenFrom: 'taken from',
  minWithoutAnAdult: (aloneMinutes: number) => `${aloneMinutes} min without an adult`,
  byForMin: (by: string, minutes: number) => `, by ${by}, for ${minutes} min`,
  inOfLessonsInLessons: (of: boolean, departed: number, lessons: number, times: number, minutes: number) =>
    `${of ? `in ${departed} of ${lessons} lessons` : `in ${departed} lessons`}${times > departed ? `, ${times} times` : ''}${times > 0 ? `, ${minutes} min` : ''}`,
}
