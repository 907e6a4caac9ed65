import { chakra } from '@chakra-ui/react'

/** Asks for a file; the same one can be chosen again after it was mended. */
export function FileBox({ label, accept, onFile }: { label: string; accept: string; onFile: (file: File) => void }) {
  return (
    <chakra.label
      display="block"
      mb="8px"
      css={{
        '& input::file-selector-button': {
          font: 'inherit',
          color: 'inherit',
          background: 'transparent',
          border: '1px solid var(--chakra-colors-line-strong)',
          borderRadius: '3px',
          padding: '3px 9px',
          marginRight: '10px',
          cursor: 'pointer',
        },
      }}
    >
      <chakra.span srOnly>{label}</chakra.span>
      <input
        type="file"
        accept={accept}
        onChange={(event) => {
          const chosen = event.target.files?.[0]
          event.target.value = ''
          if (chosen) onFile(chosen)
        }}
      />
    </chakra.label>
  )
}
