import { chakra } from '@chakra-ui/react'

/** A key to press, shown where it works. */
export const Key = chakra('kbd', {
  base: {
    fontFamily: 'mono',
    fontSize: '11px',
    lineHeight: '15px',
    border: '1px solid',
    borderColor: 'lineStrong',
    borderBottomWidth: '2px',
    borderRadius: '3px',
    px: '4px',
    bg: 'sheet',
    color: 'ink2',
    fontWeight: 400,
  },
})
