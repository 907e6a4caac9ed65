import type { ConsentLine, ConsentWord } from '../../shared/api/types'

export const STANDINGS: Record<ConsentLine['standing'], string> = {
  GIVEN: 'may',
  REFUSED: 'refused',
  WITHDRAWN: 'withdrawn',
  UNKNOWN: 'nothing is known',
}

export const GIVERS: Record<NonNullable<ConsentLine['giver']>, string> = {
  PARENT: 'a parent',
  PUPIL: 'the pupil',
  SCHOOL: 'the school',
  VISITOR: 'the visitor',
}

export const SAID: Record<ConsentWord['said'], string> = {
  GIVEN: 'May be recorded',
  REFUSED: 'Is not to be recorded',
  WITHDRAWN: 'Is not to be recorded any more',
}
