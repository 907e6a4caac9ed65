/** The help hour. */
export const say = {
  // help
  helpHour: 'Help hour',
  stayForQuestions: 'Stay for questions',
  howLongYouStay: 'How long you stay',
  min: (one: number) => `${one} min`,
  theLessonIsOver: 'The lesson is over for the class; whoever has a hand up stays, others may knock again.',
  helpHourUntil: (until: string) => `Help hour until ${until}`,
  hasComeHaveCome: (came: number, places: number) =>
    `${came === 1 ? '1 has come' : `${came} have come`} · ${places === 1 ? 'one at a time' : `${places} at once`}`,
  inTheRow: 'In the row:',
  itEndsWhenTheLast: (adults: number) => (adults > 1 ? 'It ends when the last adult goes.' : 'It ends when you go.'),
}
