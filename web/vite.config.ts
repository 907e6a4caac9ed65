import react from '@vitejs/plugin-react'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [react()],
  build: { target: 'es2022', assetsInlineLimit: 0 },
  server: { proxy: { '/api': 'http://localhost:8480' } },
  test: { environment: 'jsdom', testTimeout: 60_000, setupFiles: ['src/shared/testing.tsx'] },
})
