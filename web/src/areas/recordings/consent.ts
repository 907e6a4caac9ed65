import { say } from '../../languages/en/staff/recordings'
import type { ConsentLine, ConsentWord } from '../../shared/api/types'

export const STANDINGS: Record<ConsentLine['standing'], string> = {
  GIVEN: say.may,
  REFUSED: say.refusedInShort,
  WITHDRAWN: say.withdrawn,
  UNKNOWN: say.nothingIsKnown,
}

export const GIVERS: Record<NonNullable<ConsentLine['giver']>, string> = {
  PARENT: say.aParent,
  PUPIL: say.thePupil,
  SCHOOL: say.theSchool,
  VISITOR: say.theVisitor,
}

export const SAID: Record<ConsentWord['said'], string> = {
  GIVEN: say.mayBeRecorded,
  REFUSED: say.isNotToBeRecorded,
  WITHDRAWN: say.isNotToBeRecordedAny,
}
