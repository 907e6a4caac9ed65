import { Box, chakra, Flex } from '@chakra-ui/react'
import { useEffect } from 'react'
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
    <Sheet title={keys.length === 1 ? 'Mend this?' : `Mend ${keys.length} weak spots?`} open onClose={onClose}>
      <ProblemNote problem={preview.error ?? mend.error} compact />
      {preview.isPending && <p role="status">Working out what it would bring…</p>}
      {shown && (
        <>
          <Part title={shown.mends.length === 1 ? 'This would be done' : `${shown.mends.length} changes would be made`}>
            {counted(shown.mends).map(([words, times]) => (
              <p key={words}>
                {words}
                {times > 1 && ` (${times} times)`}
              </p>
            ))}
          </Part>
          <Part title={`${shown.gone.length} weak ${shown.gone.length === 1 ? 'spot' : 'spots'} would be gone`}>
            <Spots spots={shown.gone} />
          </Part>
          <Part title={shown.appearing.length === 0 ? 'None would appear' : `${shown.appearing.length} would appear`}>
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
              {mend.isPending ? 'Mending…' : 'Carry it out'}
            </Button>
            <Button onClick={onClose}>Leave it</Button>
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
      {spots.length > MOST && <chakra.p color="ink2">and {spots.length - MOST} more</chakra.p>}
    </>
  )
}
