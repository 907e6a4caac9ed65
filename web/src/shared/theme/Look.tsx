import createCache from '@emotion/cache'
import { CacheProvider } from '@emotion/react'
import { ChakraProvider } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { system } from './system'

/** The page carries a number that allows exactly its own styles; see the server's FrontPage. */
const nonce = document.querySelector<HTMLMetaElement>('meta[name=style-nonce]')?.content
const cache = createCache({ key: 'j', nonce })

const prefersDark = window.matchMedia?.('(prefers-color-scheme: dark)')
const follow = () => document.documentElement.classList.toggle('dark', prefersDark?.matches ?? false)
follow()
prefersDark?.addEventListener('change', follow)

export function Look({ children }: { children: ReactNode }) {
  return (
    <CacheProvider value={cache}>
      <ChakraProvider value={system}>{children}</ChakraProvider>
    </CacheProvider>
  )
}
