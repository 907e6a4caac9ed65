import { chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { Seat } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Labelled, TextArea } from '../../shared/ui/Fields'
import { Sheet } from '../../shared/ui/Sheet'
import type { OrderOf } from '../send'
import type { conductActs } from './orders'

type About = 'NOTHING_SAID' | 'A_PUPIL' | 'AN_ADULT'

const ABOUTS: [About, string][] = [
  ['NOTHING_SAID', 'I do not want to say'],
  ['A_PUPIL', 'another pupil'],
  ['AN_ADULT', 'an adult'],
]

/** The quiet way to say that something is wrong: one press, words if one likes, and who will read them. */
export function RaiseWorry({ seat, act }: { seat: Seat; act: (one: OrderOf<typeof conductActs>) => void }) {
  const [open, setOpen] = useState(false)
  const time = useSchoolTime()
  const raised = seat.mine.conduct?.raised ?? []
  const last = raised.at(-1)
  return (
    <>
      {last && (
        <chakra.p mx="16px" mb="8px" role="status" fontSize="15px">
          You said at {time.clock(last.at)} that something is wrong.{' '}
          {last.leadOnly ? 'The safeguarding lead reads it, and nobody else.' : 'The adults read it, and nobody else.'}
        </chakra.p>
      )}
      <Button look="quiet" mx="16px" mb="14px" fontSize="15px" onClick={() => setOpen(true)}>
        Something is wrong…
      </Button>
      <Sheet title="Something is wrong?" open={open} onClose={() => setOpen(false)}>
        <WorryForm
          leadOnly={seat.conduct.leadOnly}
          adults={seat.adults}
          onSend={(worry) => {
            act({ do: 'worry', ...worry })
            setOpen(false)
          }}
        />
      </Sheet>
    </>
  )
}

interface WorryFormProps {
  /** Whether the rules of the lesson let the safeguarding lead alone read it. */
  leadOnly: boolean
  adults: string[]
  onSend: (worry: { about: About; words: string; leadOnly: boolean }) => void
}

function WorryForm({ leadOnly, adults, onSend }: WorryFormProps) {
  const [about, setAbout] = useState<About>('NOTHING_SAID')
  const [words, setWords] = useState('')
  const [wanted, setWanted] = useState(false)
  const forLead = leadOnly || wanted || about === 'AN_ADULT'
  return (
    <chakra.form
      fontSize="16px"
      onSubmit={(event) => {
        event.preventDefault()
        onSend({ about, words: words.trim(), leadOnly: wanted })
      }}
    >
      <chakra.p mb="10px">
        You do not need to write anything. Nobody in the lesson sees that you pressed this, but those who help.
      </chakra.p>
      <Flex as="fieldset" gap="14px" wrap="wrap" mb="10px" border="none">
        <chakra.legend fontWeight="600">It is about</chakra.legend>
        {ABOUTS.map(([value, name]) => (
          <chakra.label key={value} display="flex" gap="5px">
            <input type="radio" name="about" checked={about === value} onChange={() => setAbout(value)} /> {name}
          </chakra.label>
        ))}
      </Flex>
      <Labelled label="In your words, if you like">
        {(id) => <TextArea id={id} rows={3} maxLength={2000} value={words} onChange={(event) => setWords(event.target.value)} />}
      </Labelled>
      {!leadOnly && about !== 'AN_ADULT' && (
        <chakra.label display="flex" gap="7px" mb="10px">
          <input type="checkbox" checked={wanted} onChange={() => setWanted(!wanted)} /> Only the safeguarding lead should read it
        </chakra.label>
      )}
      <chakra.p role="status" mb="10px" fontWeight="600">
        {about === 'AN_ADULT'
          ? 'It goes to the safeguarding lead of the school, or who stands in for them, and to no adult of this lesson.'
          : forLead
            ? 'It goes to the safeguarding lead of the school, and to nobody else.'
            : `It goes to ${adults.join(' and ')} and the safeguarding lead.`}
      </chakra.p>
      <Button type="submit" look="main" size="large">
        Say it quietly
      </Button>
    </chakra.form>
  )
}
