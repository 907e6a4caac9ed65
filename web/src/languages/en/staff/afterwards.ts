/** After a lesson. */
export const say = {
  // AfterwardsScreen
  theRegister: 'the register',
  theLessonAgain: 'the lesson again',
}
