import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import type { ReactNode } from 'react'
import { words } from '../../languages/language'
import { Button } from './Button'

/** Copies words, as rich text too if there is some, and says so on the spot. */
export function CopyButton({ text, html, look, children }: { text: string; html?: string; look?: 'main'; children: ReactNode }) {
  const [copied, setCopied] = useState<string | null>(null)
  const copy = async () => {
    try {
      if (html) {
        const both = {
          'text/plain': new Blob([text], { type: 'text/plain' }),
          'text/html': new Blob([html], { type: 'text/html' }),
        }
        await navigator.clipboard.write([new ClipboardItem(both)])
      } else {
        await navigator.clipboard.writeText(text)
      }
      setCopied(words().copied)
    } catch {
      // Browsers let pages copy only over https or on the own machine.
      setCopied(words().mayNotCopy)
    }
  }
  return (
    <>
      <Button look={look} onClick={() => void copy()}>
        {children}
      </Button>
      <chakra.span role="status" _empty={{ position: 'absolute' }}>
        {copied}
      </chakra.span>
    </>
  )
}
