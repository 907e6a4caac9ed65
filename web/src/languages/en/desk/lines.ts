/** Weak lines. */
export const say = {
  // lines
  weakLine: 'weak line',
  hasAWeakLine: 'has a weak line',
  aLightLessonCloses: (names: string) =>
    `${names}. A light lesson closes all cameras, so that voices and what is shown come through.`,
  lightLesson: 'Light lesson',
  leaveIt: 'Leave it as it is',
}
