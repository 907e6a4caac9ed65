/** The stand-in classroom of the demo. */
export const say = {
  // StandInScreen
  realTime: 'real time',
  standIn: 'Stand-in',
  theStage: 'the stage',
  theStandInClassroom: 'The stand-in classroom',
  speedOfTheCast: 'Speed of the cast',
  inPlaceOfAReal:
    'In place of a real service for sound and pictures, a cast plays from scripts. It gives the same orders as browsers do and keeps to what you decide. The clock of the school is not touched: only the cast goes faster.',
  noLessonIsLive: 'No lesson is live or about to begin. The cast plays again in the next one.',
  itsDiskIsFull: 'its disk is full',
  theLineIsLost: 'the line is lost',
  noAnswerNextTime: 'no answer next time',
  liveInNotOpenYet: (phase: 'PLANNED' | 'OPEN' | 'OVER', present: number) =>
    phase === 'OPEN' ? `live, ${present} in` : 'not open yet',
  nothingMoreIsScripted: 'Nothing more is scripted.',
  playTheNextOneNow: 'Play the next one now',
  in: (lesson: string) => `in ${lesson}`,
  mischiefIn: (lesson: string) => `Mischief in ${lesson}`,
  letItHappen: 'Let it happen',
  theRecorder: 'The recorder:',
}
