import { Box, chakra } from '@chakra-ui/react'
import { useId, type ComponentProps, type ReactNode } from 'react'

const box = {
  base: {
    width: '100%',
    border: '1.5px solid',
    borderColor: 'lineStrong',
    borderRadius: '3px',
    bg: 'sheet',
    color: 'ink',
    px: '9px',
    py: '5px',
    fontFamily: 'body',
    fontSize: 'inherit',
    _focus: { borderColor: 'ink' },
  },
} as const

export const TextInput = chakra('input', box)
export const TextArea = chakra('textarea', box)
export const Select = chakra('select', box)

/** A label above a box, a hint below. */
export function Labelled({ label, hint, children }: { label: string; hint?: string; children: (id: string) => ReactNode }) {
  const id = useId()
  return (
    <Box mb="10px">
      <chakra.label htmlFor={id} display="block" fontWeight="600" mb="2px">
        {label}
      </chakra.label>
      {children(id)}
      {hint && (
        <Box fontSize="0.9em" color="ink2" mt="2px">
          {hint}
        </Box>
      )}
    </Box>
  )
}

type FieldProps = ComponentProps<typeof TextInput> & { label: string; hint?: string }

export function TextField({ label, hint, ...rest }: FieldProps) {
  return (
    <Labelled label={label} hint={hint}>
      {(id) => <TextInput id={id} {...rest} />}
    </Labelled>
  )
}
