import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue()],
  test: {
    include: ['packages/*/src/**/*.test.ts', 'bin/**/*.test.ts'],
    globalSetup: ['packages/server/src/testing/global-setup.ts'],
    maxWorkers: 2, // each has simulated sites and databases of its own
    testTimeout: 30_000,
    hookTimeout: 60_000,
  },
})
