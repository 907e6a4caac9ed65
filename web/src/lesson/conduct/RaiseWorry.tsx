import { chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { words } from '../../languages/language'
import { seatWords } from '../../languages/seat'
import type { Seat } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Labelled, TextArea } from '../../shared/ui/Fields'
import { Sheet } from '../../shared/ui/Sheet'
import type { OrderOf } from '../send'
import type { conductActs } from './acts'

type About = 'NOTHING_SAID' | 'A_PUPIL' | 'AN_ADULT'

const ABOUTS: About[] = ['NOTHING_SAID', 'A_PUPIL', 'AN_ADULT']

/** The quiet way to say that something is wrong: one press, words if one likes, and who will read them. */
export function RaiseWorry({ seat, act }: { seat: Seat; act: (one: OrderOf<typeof conductActs>) => void }) {
  const [open, setOpen] = useState(false)
  const time = useSchoolTime()
  const raised = seat.mine.conduct?.raised ?? []
  const last = raised.at(-1)
  const say = seatWords()
  return (
    <>
      {last && (
        <chakra.p mx="16px" mb="8px" role="status" fontSize="15px">
          {say.saidAt(time.clock(last.at))} {last.leadOnly ? say.leadReads : say.adultsRead}
        </chakra.p>
      )}
      <Button look="quiet" mx="16px" mb="14px" fontSize="15px" onClick={() => setOpen(true)}>
        {say.somethingWrong}
      </Button>
      <Sheet title={say.somethingWrongAsked} open={open} onClose={() => setOpen(false)}>
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
  const [own, setOwn] = useState('')
  const [wanted, setWanted] = useState(false)
  const say = seatWords()
  const forLead = leadOnly || wanted || about === 'AN_ADULT'
  return (
    <chakra.form
      fontSize="16px"
      onSubmit={(event) => {
        event.preventDefault()
        onSend({ about, words: own.trim(), leadOnly: wanted })
      }}
    >
      <chakra.p mb="10px">{say.needNotWrite}</chakra.p>
      <Flex as="fieldset" gap="14px" wrap="wrap" mb="10px" border="none">
        <chakra.legend fontWeight="600">{say.itIsAbout}</chakra.legend>
        {ABOUTS.map((value) => (
          <chakra.label key={value} display="flex" gap="5px">
            <input type="radio" name="about" checked={about === value} onChange={() => setAbout(value)} /> {say.abouts[value]}
          </chakra.label>
        ))}
      </Flex>
      <Labelled label={say.inYourWords}>
        {(id) => <TextArea id={id} rows={3} maxLength={2000} value={own} onChange={(event) => setOwn(event.target.value)} />}
      </Labelled>
      {!leadOnly && about !== 'AN_ADULT' && (
        <chakra.label display="flex" gap="7px" mb="10px">
          <input type="checkbox" checked={wanted} onChange={() => setWanted(!wanted)} /> {say.onlyLead}
        </chakra.label>
      )}
      <chakra.p role="status" mb="10px" fontWeight="600">
        {about === 'AN_ADULT' ? say.goesPastAdults : forLead ? say.goesToLead : say.goesToAdults(adults.join(words().and))}
      </chakra.p>
      <Button type="submit" look="main" size="large">
        {say.sayQuietly}
      </Button>
    </chakra.form>
  )
}
