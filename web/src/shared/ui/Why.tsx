import { Box, chakra } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { say as staffSays } from '../../languages/en/staff/frame'
import { words } from '../../languages/language'
import { get } from '../api/http'
import type { Why } from '../api/types'
import { LoadingNote, ProblemNote } from './Notes'
import { Sheet } from './Sheet'
import { Shutter } from './Shutter'

function useWhy(path: string | null) {
  return useQuery({
    queryKey: ['why', path],
    queryFn: () => get<Why>(path ?? ''),
    enabled: path !== null,
    gcTime: 0,
  })
}

/** The chain behind a value: what was weighed, who set it, what decides, until when. @param path where to ask */
export function WhySheet({ path, onClose }: { path: string | null; onClose: () => void }) {
  const { data, error } = useWhy(path)
  return (
    <Sheet title={data ? words().whyOf(data.title) : words().whyAlone} open={path !== null} onClose={onClose}>
      {error && <ProblemNote problem={error} />}
      {!data && !error && <LoadingNote says={words().fetchingReasons} />}
      {data && <WhyChain why={data} />}
    </Sheet>
  )
}

/** The same within a page. */
export function WhyHere({ path }: { path: string }) {
  const { data, error } = useWhy(path)
  if (error) return <ProblemNote problem={error} />
  return data ? <WhyChain why={data} reason={false} /> : <LoadingNote says={words().fetchingReasons} />
}

export function WhyChain({ why, reason = true }: { why: Why; reason?: boolean }) {
  const say = words()
  return (
    <Box>
      <chakra.p fontSize="16px" mb="6px">
        <Shutter value={why.value} /> {say.itIs} <strong>{why.valueWords}</strong>
        {why.until ? say.untilThen(why.until, why.next) : '.'}
      </chakra.p>
      <chakra.ol listStyleType="none" borderInlineStart="2px solid" borderColor="ink" ms="5px" aria-label={say.weighed}>
        {why.chain.map((link) => (
          <chakra.li key={link.text + link.effect} ps="14px" py="3px" position="relative">
            <chakra.span
              aria-hidden
              position="absolute"
              left="-6px"
              top="8px"
              w="9px"
              h="9px"
              border="2px solid"
              borderColor="ink"
              bg={link.effect === 'DECIDES' ? 'mark' : 'sheet'}
            />
            <chakra.span
              fontWeight={link.effect === 'DECIDES' ? 650 : 400}
              color={link.effect === 'DECIDES' ? 'ink' : 'ink2'}
              textDecoration={link.effect === 'OVERRULED' ? 'line-through' : 'none'}
            >
              {link.text}
            </chakra.span>{' '}
            <chakra.span fontSize="12.5px" color="ink2">
              {say.effects[link.effect]}
            </chakra.span>
            {link.note && (
              <chakra.span display="block" fontSize="12.5px" fontStyle="italic" color="ink2">
                “{link.note}”
              </chakra.span>
            )}
          </chakra.li>
        ))}
      </chakra.ol>
      {why.otherwise.length > 0 && (
        <Box mt="8px">
          <chakra.strong fontWeight="600">{staffSays.inOtherSituations}</chakra.strong>
          {why.otherwise.map((one) => (
            <chakra.em key={one} display="block" ps="10px">
              {one}
            </chakra.em>
          ))}
        </Box>
      )}
      {why.changedBy && (
        <chakra.p mt="8px">
          <chakra.strong fontWeight="600">{staffSays.whoCanChange}</chakra.strong> {why.changedBy}
        </chakra.p>
      )}
      {why.changedBy && (
        <chakra.p mt="4px" color="ink2">
          {staffSays.pupilsRead(why.forPupils)}
        </chakra.p>
      )}
      {reason && (
        <chakra.p mt="8px" color="ink2">
          {why.reason}
        </chakra.p>
      )}
    </Box>
  )
}
