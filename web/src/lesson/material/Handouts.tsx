import { Box, chakra } from '@chakra-ui/react'
import type { Handout } from '../../shared/api/types'

/** What hangs for everybody to find. Only what is an address of the web is a link. */
export function Handouts({ of }: { of: Handout[] }) {
  return of.map((one) => (
    <Box key={one.number} py="3px" overflowWrap="anywhere">
      <strong>{one.title}</strong>{' '}
      {/^https?:\/\//.test(one.body) ? (
        <chakra.a href={one.body} target="_blank" rel="noreferrer noopener" textDecoration="underline">
          {one.body}
        </chakra.a>
      ) : (
        one.body
      )}
    </Box>
  ))
}
