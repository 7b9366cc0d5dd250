import { defineConfig } from '@playwright/test'
import { readSettings } from '../bin/launch/settings.mjs'

const { port } = readSettings({ forTests: true })

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  outputDir: '../test-results',
  fullyParallel: false,
  workers: 1,
  retries: 0,
  timeout: 60_000,
  expect: { timeout: 10_000 },
  globalSetup: './start-system.ts',
  reporter: process.env.PEBBLESTRAND_TEST_REPORT
    ? [['list'], ['json', { outputFile: process.env.PEBBLESTRAND_TEST_REPORT }]]
    : [['list']],
  use: {
    baseURL: `http://localhost:${port}`,
    viewport: { width: 1280, height: 800 },
    permissions: ['clipboard-read', 'clipboard-write'],
    trace: 'off',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
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
