import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue()],
  test: {
    include: ['packages/*/src/**/*.test.ts', 'bin/**/*.test.ts'],
    globalSetup: ['packages/server/src/testing/global-setup.ts'],
    testTimeout: 30_000,
    hookTimeout: 60_000,
  },
})
