import { TextInput } from '../../shared/ui/Fields'

/** Under which the ladder is kept between requests. */
export const LADDER = ['ladder']

/** Its tables are alike. */
export const table = {
  '& td, & th': { padding: '4px 7px', borderBottom: '1px solid var(--chakra-colors-line)', textAlign: 'left' },
} as const

/** A number that a lead may change, and others read. */
export function Count({
  label,
  value,
  most,
  isLead,
  onChange,
}: {
  label: string
  value: number
  most: number
  isLead: boolean
  onChange: (value: number) => void
}) {
  return isLead ? (
    <TextInput
      type="number"
      w="68px"
      py="1px"
      min={1}
      max={most}
      required
      aria-label={label}
      value={value}
      onChange={(event) => onChange(Number(event.target.value))}
    />
  ) : (
    <span>{value}</span>
  )
}
