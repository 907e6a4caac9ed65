import react from '@vitejs/plugin-react'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [react()],
  build: {
    target: 'es2022',
    assetsInlineLimit: 0,
    // Browsers that do not know it fetch a little later.
    modulePreload: { polyfill: false },
    rolldownOptions: {
      output: {
        // What is always fetched together comes as one piece: on its own much of it is smaller than what is sent around it.
        codeSplitting: {
          groups: [
            {
              name: 'first',
              test: /@tanstack|react-router|@emotion|react-dom\/(index|cjs\/react-dom\.)|components\/(box|flex)\/|shared\/(api\/http|standing|time)|shared\/ui\/(Button|Fields|Guide|Key|Notes|Sheet|useOpenKey)\.|languages\/(language|ChooseLanguage|en\/door)/,
            },
            { name: 'page', test: /shared\/ui\/(Page|OwnPlaces|PlaceTab|SignOut)\./ },
            { name: 'signs', test: /shared\/ui\/(SentFile|Shutter|VerdictMark|Why)\.|shared\/files\/smaller|components\/grid\// },
            {
              name: 'lesson',
              test: /openapi-fetch|slates\/acts|lesson\/send|shared\/live\/|shared\/ui\/useLatestInSight|lesson\/(questions\/Tally|material\/Handouts|clocks\/ClockFace|rights\/PassedOn|recording\/Pen|chat\/sent)|languages\/(en\/)?seat/,
            },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': 'http://localhost:8480' } },
  test: { environment: 'jsdom', testTimeout: 60_000, setupFiles: ['src/shared/testing.tsx'] },
})
