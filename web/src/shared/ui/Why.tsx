import { Box, chakra } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { get } from '../api/http'
import type { Why } from '../api/types'
import { LoadingNote, ProblemNote } from './Notes'
import { Sheet } from './Sheet'
import { Shutter } from './Shutter'

/** The chain behind a value: what was weighed, who set it, what decides, until when. @param path where to ask */
export function WhySheet({ path, onClose }: { path: string | null; onClose: () => void }) {
  const { data, error } = useQuery({
    queryKey: ['why', path],
    queryFn: () => get<Why>(path ?? ''),
    enabled: path !== null,
    gcTime: 0,
  })
  return (
    <Sheet title={data ? `Why: ${data.title}` : 'Why'} open={path !== null} onClose={onClose}>
      {error && <ProblemNote problem={error} />}
      {!data && !error && <LoadingNote what="the reasons" />}
      {data && <WhyChain why={data} />}
    </Sheet>
  )
}

export function WhyChain({ why }: { why: Why }) {
  return (
    <Box>
      <chakra.p fontSize="16px" mb="8px">
        <Shutter value={why.value} /> It is <strong>{why.valueWords}</strong>
        {why.until ? `, until ${why.until}.` : '.'}
      </chakra.p>
      <chakra.ol listStyleType="none" borderLeft="2px solid" borderColor="ink" ml="5px" aria-label="What was weighed">
        {why.chain.map((link) => (
          <chakra.li key={link.text} pl="14px" py="4px" position="relative">
            <chakra.span
              aria-hidden
              position="absolute"
              left="-6px"
              top="9px"
              w="9px"
              h="9px"
              border="2px solid"
              borderColor="ink"
              bg={link.effect === 'DECIDES' ? 'mark' : 'sheet'}
            />
            <chakra.span
              fontWeight={link.effect === 'DECIDES' ? 650 : 400}
              color={link.effect === 'DECIDES' ? 'ink' : 'ink3'}
              textDecoration={link.effect === 'OVERRULED' ? 'line-through' : 'none'}
            >
              {link.text}
            </chakra.span>{' '}
            <chakra.span fontSize="12.5px" color="ink2">
              {link.effect === 'DECIDES'
                ? 'decides'
                : link.effect === 'REPLACED'
                  ? 'replaced below'
                  : 'does not count: bound above'}
            </chakra.span>
          </chakra.li>
        ))}
      </chakra.ol>
      <chakra.p mt="10px" color="ink2">
        {why.reason}
      </chakra.p>
    </Box>
  )
}
