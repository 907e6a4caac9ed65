import { Box, chakra, Flex } from '@chakra-ui/react'
import { useEffect } from 'react'
import { say } from '../../../languages/en/staff/inspection'
import type { WeakSpot } from '../../../shared/api/types'
import { Button } from '../../../shared/ui/Button'
import { ProblemNote } from '../../../shared/ui/Notes'
import { SeverityMark } from '../../../shared/ui/SeverityMark'
import { Sheet } from '../../../shared/ui/Sheet'
import { useSchoolTime } from '../../../shared/time'
import { useMend, usePreview } from '../api'

interface MendSheetProps {
  keys: string[]
  onClose: () => void
  onMended: (mended: { change: string; mends: number }) => void
}

/** What a mend would do and bring, before it is carried out. */
export function MendSheet({ keys, onClose, onMended }: MendSheetProps) {
  const preview = usePreview()
  const mend = useMend()
  const { mutate } = preview
  useEffect(() => mutate(keys), [keys, mutate])
  const shown = preview.data
  return (
    <Sheet title={say.mendThisMendWeakSpots(keys.length)} open onClose={onClose}>
      <ProblemNote problem={preview.error ?? mend.error} compact />
      {preview.isPending && <p role="status">{say.workingOutWhatItWouldBring}</p>}
      {shown && (
        <>
          <Part title={say.thisWouldBeDoneChanges(shown.mends.length)}>
            {counted(shown.mends).map(([words, times]) => (
              <p key={words}>{say.times(words, times)}</p>
            ))}
          </Part>
          <Part title={say.weakWouldBeGone(shown.gone.length)}>
            <Spots spots={shown.gone} />
          </Part>
          <Part title={say.noneWouldAppearWouldAppear(shown.appearing.length)}>
            <Spots spots={shown.appearing} />
          </Part>
          <Flex gap="8px" mt="12px">
            <Button
              look="main"
              disabled={mend.isPending}
              onClick={() =>
                mend.mutate(
                  { keys, fingerprint: shown.fingerprint },
                  {
                    onSuccess: (done) => {
                      onMended(done)
                      onClose()
                    },
                  },
                )
              }
            >
              {say.mendingCarryItOut(mend.isPending)}
            </Button>
            <Button onClick={onClose}>{say.leaveIt}</Button>
          </Flex>
        </>
      )}
    </Sheet>
  )
}

function counted(mends: string[]): [string, number][] {
  const times = new Map<string, number>()
  mends.forEach((one) => times.set(one, (times.get(one) ?? 0) + 1))
  return [...times].slice(0, 8)
}

function Part({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <Box mb="10px">
      <chakra.h3 fontSize="15px" borderBottom="1px solid" borderColor="lineStrong" mb="3px">
        {title}
      </chakra.h3>
      {children}
    </Box>
  )
}

const MOST = 6

function Spots({ spots }: { spots: WeakSpot[] }) {
  const time = useSchoolTime()
  return (
    <>
      {spots.slice(0, MOST).map((one) => (
        <Flex key={one.key} gap="6px" align="baseline">
          <SeverityMark severity={one.severity} size={11} />
          <span>
            {one.heading}: {one.title}
            {one.starts && `, ${time.day(one.starts)} ${time.clock(one.starts)}`}
          </span>
        </Flex>
      ))}
      {spots.length > MOST && <chakra.p color="ink2">{say.andMore(spots.length - MOST)}</chakra.p>}
    </>
  )
}
