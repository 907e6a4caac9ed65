import '@fontsource-variable/atkinson-hyperlegible-mono/index.css'
import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import '@fontsource-variable/bricolage-grotesque/index.css'
import './fonts/first.css'
import { createSystem, defaultBaseConfig, defineConfig } from '@chakra-ui/react'
import { dialog, menu } from './slots'

const both = (light: string, dark: string) => ({ value: { base: light, _dark: dark } })

/** Ledger paper, ink and one highlighter. Colours are named for what they mean; nothing else is saffron. */
const config = defineConfig({
  preflight: true,
  cssVarsPrefix: 'chakra',
  cssVarsRoot: ':where(html, .chakra-theme)',
  theme: {
    breakpoints: { sm: '480px', md: '768px', lg: '1024px', xl: '1280px' },
    slotRecipes: { dialog, menu },
    tokens: {
      fonts: {
        heading: { value: '"Bricolage Grotesque Variable", sans-serif' },
        body: { value: '"Atkinson Hyperlegible Next Variable", sans-serif' },
        mono: { value: '"Atkinson Hyperlegible Mono Variable", monospace' },
      },
    },
    semanticTokens: {
      colors: {
        paper: both('#eef0e7', '#131814'),
        sheet: both('#fafbf6', '#1a201c'),
        line: both('#d3d8c8', '#2f3832'),
        lineStrong: both('#a9b19c', '#566258'),
        ink: both('#18211c', '#e9ece2'),
        ink2: both('#4a554d', '#b9c2b8'),
        ink3: both('#5d685f', '#98a398'),
        mark: both('#f4c61f', '#f4c61f'),
        onMark: both('#18211c', '#18211c'),
        markSoft: both('#fbeeb4', '#453b14'),
        'verdict.in': both('#1d6b4f', '#63c398'),
        'verdict.inSoft': both('#d8e8dd', '#1d3a2e'),
        'verdict.wait': both('#7a5200', '#e2b565'),
        'verdict.waitSoft': both('#f6e6bd', '#42340f'),
        'verdict.away': both('#a3232e', '#f28d88'),
        'verdict.awaySoft': both('#f3dcd9', '#45211f'),
      },
    },
  },
  globalCss: {
    'html, body, #root': { height: '100%' },
    // The label is the target, and as high as a fingertip.
    'label:has(> input:is([type=checkbox], [type=radio]))': { minHeight: '24px' },
    html: {
      bg: 'paper',
      '--global-color-border': 'colors.line',
      '--global-font-body': 'fonts.body',
      '--global-font-mono': 'fonts.mono',
      // The inks of what is drawn, for plain elements: a board has thousands of them.
      '--drawn-ink': 'colors.ink',
      '--drawn-green': 'colors.verdict.in',
      '--drawn-red': 'colors.verdict.away',
      '--drawn-ochre': 'colors.verdict.wait',
    },
    body: { bg: 'paper', color: 'ink', fontFamily: 'body', fontSize: '14px', lineHeight: 1.38 },
    'h1, h2, h3': { fontFamily: 'heading', fontWeight: 650, letterSpacing: '-0.01em', lineHeight: 1.2 },
    'a, button, input, select, textarea, [tabindex]': {
      _focusVisible: { outline: '2px solid', outlineColor: 'ink', outlineOffset: '2px' },
    },
    input: { accentColor: 'ink' },
    // On paper stands what is made for paper, and nothing of the page around it.
    'html:has(.paper), body:has(.paper), header:has(+ main .paper)': { '@media print': { bg: 'white', border: 'none' } },
    'body:has(.paper) *:not(:has(.paper), .paper, .paper *)': { '@media print': { display: 'none !important' } },
    '.paper': { '@media print': { border: 'none', bg: 'white', color: 'black' } },
    '.no-print': { '@media print': { display: 'none !important' } },
    '*::placeholder': { color: 'ink3' },
    '::selection': { bg: 'mark', color: 'onMark' },
  },
})

export const system = createSystem(defaultBaseConfig, config)
