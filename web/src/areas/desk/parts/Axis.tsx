import { Box } from '@chakra-ui/react'
import { say } from '../../../languages/en/staff/desk'
import type { Desk } from '../../../shared/api/types'
import { useSchoolTime } from '../../../shared/time'

/** The lesson's time over the rows: its steps, its tens of minutes, and now. */
export function Axis({ desk, from, until, now }: { desk: Desk; from: number; until: number; now: number }) {
  const time = useSchoolTime()
  const place = (instant: number) => `${(100 * (instant - from)) / (until - from)}%`
  const start = Date.parse(desk.starts)
  const ticks = Array.from({ length: Math.ceil((until - start) / 600_000) }, (_, i) => start + i * 600_000)
  const shown = now >= from && now <= until && desk.door.phase !== 'OVER'
  return (
    <Box position="relative" h={desk.course.order.length > 0 ? '50px' : '34px'} me="14px" fontFamily="mono">
      {shown && (
        <Box
          position="absolute"
          top="0"
          left={place(now)}
          transform="translateX(-50%)"
          bg="mark"
          color="onMark"
          px="5px"
          fontSize="12px"
          fontWeight="600"
          borderRadius="2px"
        >
          {time.clock(now)}
        </Box>
      )}
      {desk.course.order.map((step) => {
        const running = desk.course.stance === step.name && now >= Date.parse(step.from) && now < Date.parse(step.until)
        return (
          <Box
            key={step.from}
            position="absolute"
            top="17px"
            h="17px"
            left={place(Date.parse(step.from))}
            w={`${(100 * (Date.parse(step.until) - Date.parse(step.from))) / (until - from)}%`}
            border="1px solid"
            borderColor="ink"
            bg={running ? 'ink' : 'sheet'}
            color={running ? 'sheet' : 'ink2'}
            fontFamily="body"
            fontSize="11px"
            lineHeight="15px"
            px="3px"
            truncate
            title={say.toSaid(step.name, time.clock(step.from), time.clock(step.until))}
          >
            {step.name}
          </Box>
        )
      })}
      {ticks.map((tick, number) => (
        <Box
          key={tick}
          hideBelow={number % 3 === 0 ? undefined : 'xl'}
          position="absolute"
          bottom="0"
          left={place(tick)}
          transform="translateX(-50%)"
          fontSize="10.5px"
          color="ink3"
        >
          {time.clock(tick)}
        </Box>
      ))}
    </Box>
  )
}
