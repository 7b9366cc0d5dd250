import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    include: ['packages/*/src/**/*.test.ts', 'bin/**/*.test.ts', 'e2e/lint/*.test.ts'],
    testTimeout: 20_000,
    hookTimeout: 60_000,
    globalSetup: [],
  },
})
