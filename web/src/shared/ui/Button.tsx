import { chakra } from '@chakra-ui/react'

/** Our button: `main` for the one likely action, `stop` for what hurts, `quiet` for a word in a line. */
export const Button = chakra(
  'button',
  {
    base: {
      fontFamily: 'body',
      fontSize: '14px',
      lineHeight: '20px',
      display: 'inline-flex',
      alignItems: 'center',
      justifyContent: 'center',
      gap: '6px',
      border: '1px solid',
      borderColor: 'lineStrong',
      borderRadius: '3px',
      bg: 'sheet',
      color: 'ink',
      px: '9px',
      py: '3px',
      cursor: 'pointer',
      whiteSpace: 'nowrap',
      _hover: { borderColor: 'ink' },
      _disabled: { opacity: 0.5, cursor: 'default' },
      '@media (pointer: coarse)': { minHeight: '38px' },
    },
    variants: {
      look: {
        plain: {},
        main: { bg: 'ink', color: 'sheet', borderColor: 'ink', fontWeight: 600 },
        stop: { border: '1.5px solid', borderColor: 'verdict.away', color: 'verdict.away', fontWeight: 600 },
        quiet: {
          border: 'none',
          bg: 'transparent',
          px: '0',
          py: '0',
          lineHeight: 'inherit',
          color: 'inherit',
          textDecoration: 'underline',
          textUnderlineOffset: '2px',
          '@media (pointer: coarse)': { minHeight: 'auto' },
        },
      },
      size: {
        normal: {},
        small: { fontSize: '13px', lineHeight: '18px', px: '7px', py: '1px', minH: '24px' },
        large: { fontSize: '17px', px: '16px', py: '9px' },
      },
    },
    defaultVariants: { look: 'plain', size: 'normal' },
  },
  { defaultProps: { type: 'button' } },
)
