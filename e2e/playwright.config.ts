import { defineConfig } from '@playwright/test'
import { CHROMIUM } from '../packages/server/src/platform/browser/chromium-path'

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  outputDir: '../test-results',
  fullyParallel: false,
  // Side by side, each with a whole system of its own (pages/signed-in.ts).
  workers: 2,
  retries: 0,
  timeout: 60_000,
  expect: { timeout: 10_000 },
  globalSetup: './build.ts',
  reporter: process.env.PEBBLESTRAND_TEST_REPORT
    ? [['list'], ['json', { outputFile: process.env.PEBBLESTRAND_TEST_REPORT }]]
    : [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    permissions: ['clipboard-read', 'clipboard-write'],
    trace: 'off',
    launchOptions: {
      executablePath: CHROMIUM,
      args: [
        '--no-sandbox',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
})
