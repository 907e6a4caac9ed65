import react from '@vitejs/plugin-react'
import { defineConfig } from 'vitest/config'

/** A piece of what is built, of all modules in whose path one of these stands. */
function piece(name: string, ...places: string[]) {
  return { name, test: (module: string) => places.some((place) => module.includes(place)) }
}

const ui = (...names: string[]) => names.map((name) => `src/shared/ui/${name}.`)
const ofLesson = (...names: string[]) => names.map((name) => `src/lesson/${name}.`)

/**
 * What is always fetched together comes as one piece: on its own much of it is smaller than what is sent around it. The first piece is
 * what every page begins with; the last is what a desk and a seat share.
 */
const PIECES = [
  piece(
    'first',
    '@tanstack',
    'react-router',
    '@emotion',
    'react-dom/index',
    'react-dom/cjs/react-dom.',
    'components/box/',
    'components/flex/',
    'src/shared/api/http.',
    'src/shared/standing.',
    'src/shared/time.',
    'src/languages/language.',
    'src/languages/ChooseLanguage.',
    'src/languages/en/door.',
    'src/languages/en/staff/frame.',
    ...ui('Button', 'Fields', 'Guide', 'Key', 'Notes', 'Sheet', 'useOpenKey'),
  ),
  piece('page', ...ui('Page', 'OwnPlaces', 'PlaceTab', 'SignOut')),
  piece('signs', 'components/grid/', 'src/shared/files/smaller.', ...ui('SentFile', 'Shutter', 'VerdictMark', 'Why')),
  piece(
    'lesson',
    'openapi-fetch',
    'src/shared/live/',
    'src/languages/seat.',
    'src/languages/en/seat.',
    ...ui('useLatestInSight'),
    ...ofLesson(
      'send',
      'chat/sent',
      'clocks/ClockFace',
      'material/Handouts',
      'questions/Tally',
      'recording/Pen',
      'rights/PassedOn',
      'slates/acts',
    ),
  ),
]

export default defineConfig({
  plugins: [react()],
  build: {
    target: 'es2022',
    assetsInlineLimit: 0,
    // Browsers that do not know it fetch a little later.
    modulePreload: { polyfill: false },
    rolldownOptions: { output: { codeSplitting: { groups: PIECES } } },
  },
  server: { proxy: { '/api': 'http://localhost:8480' } },
  test: {
    environment: 'jsdom',
    // Pages' tests are nearly all computing: a core each, none left for what watches them.
    maxWorkers: '100%',
    isolate: false,
    testTimeout: 60_000,
    setupFiles: ['src/shared/testing.tsx'],
  },
})
