import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

// What a busy machine needs: a test that hangs is ended all the same.
const patience = { testTimeout: 90_000, hookTimeout: 120_000, setupFiles: ['./vitest.seed.ts'] }

export default defineConfig({
  test: {
    globalSetup: ['packages/server/src/testing/global-setup.ts'],
    // Each has simulated sites and databases of its own. More than cores: many tests wait for something.
    maxWorkers: 4,
    // No test may need the one before it. Where a change is decided on, in the same order each time.
    sequence: { shuffle: { tests: true }, ...(process.env.CI ? { seed: 7 } : {}) },
    projects: [
      {
        plugins: [vue()],
        test: {
          name: 'pebblestrand',
          include: ['packages/{core,contract,widget,server,web}/src/**/*.test.ts', 'bin/**/*.test.ts'],
          // What a test file imports stays for the next one of its worker: loading it anew took longer than the tests.
          isolate: false,
          ...patience,
        },
      },
      // A program of its own, which never shares a process with ours.
      { test: { name: 'stand-ins', include: ['packages/standins/src/**/*.test.ts'], ...patience } },
    ],
  },
})
