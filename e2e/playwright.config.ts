import { defineConfig } from '@playwright/test'
import { chromiumAt } from './pages/chromium'
import { settings } from './pages/settings'

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  outputDir: '../test-results',
  fullyParallel: false,
  // Side by side, each with a whole system of its own (pages/signed-in.ts). More than cores: each waits for something now and then.
  workers: 3,
  // What passes only then is listed by name at the end, and more than two of them fail the run (bin/launch/test.mjs).
  retries: 1,
  // Waiting costs a test that passes nothing. A machine that is lent out may give a run a fifth of its usual speed for some minutes.
  timeout: 300_000,
  expect: { timeout: 45_000 },
  globalSetup: './demo-once.ts',
  reporter: process.env.PEBBLESTRAND_TEST_REPORT
    ? [['list'], ['json', { outputFile: process.env.PEBBLESTRAND_TEST_REPORT }]]
    : [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    permissions: ['clipboard-read', 'clipboard-write'],
    trace: 'off',
    launchOptions: chromiumAt(settings.loopback),
  },
})
