import { Box, chakra } from '@chakra-ui/react'
import { useRef } from 'react'
import { words } from '../../languages/language'
import { smaller } from '../files/smaller'
import { Button } from './Button'

interface Sent {
  kind: string
  bytes: number
}

/** What was written, or the file that was sent, to be saved. */
export function SentFile({ text, file, href }: { text: string; file?: Sent; href: string }) {
  if (!file) return <>{text}</>
  return (
    <>
      <chakra.a href={href} download={text} color="ink" textDecoration="underline">
        {text}
      </chakra.a>{' '}
      <Box as="span" color="ink2">
        ({words().fileKinds[file.kind] ?? file.kind}, {size(file.bytes)})
      </Box>
    </>
  )
}

function size(bytes: number): string {
  return bytes < 100_000
    ? `${Math.max(1, Math.round(bytes / 1000))} kB`
    : `${(bytes / 1_000_000).toFixed(1).replace('.', words().decimal)} MB`
}

/** Chooses one file and gives it on at once. */
export function FileChooser({ onChoose, disabled }: { onChoose: (file: File) => void; disabled?: boolean }) {
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      <Button look="quiet" disabled={disabled} onClick={() => input.current?.click()}>
        {words().file}
      </Button>
      <input
        ref={input}
        type="file"
        hidden
        aria-label={words().fileToSend}
        onChange={(event) => {
          const file = event.target.files?.[0]
          // The same file may be chosen again after a refusal.
          event.target.value = ''
          if (file) void smaller(file).then(onChoose)
        }}
      />
    </>
  )
}

/** What is sent with a file: the file, and for whom. */
export function fileForm(file: File, to: string, person: string | null, place?: string): FormData {
  const form = new FormData()
  form.append('file', file)
  form.append('to', to)
  if (person) form.append('person', person)
  if (place) form.append('place', place)
  return form
}
