// Lint, types, unit tests and browser tests, on a database and ports of their own. Names after `bin/test` choose parts: lint, types, unit, e2e.
import { rmSync } from 'node:fs'
import { buildWhatIsStale } from './build.mjs'
import { Complaint, orComplain } from './complaint.mjs'
import { ensureNodePackages } from './node-packages.mjs'
import { endWithParent } from './end-with.mjs'
import { endRunning, runApart, runShown } from './run.mjs'
import { readSettings } from './settings.mjs'
import { ensureSystemPackages } from './system-packages.mjs'
import { countsOf, MOST_FLAKY } from './test-counts.mjs'

const say = (line) => console.log(`\n— ${line}`)
const npm = (script) => runApart('npm', ['run', '--silent', script])

const parts = {
  lint: () => npm('lint'),
  types: () => npm('types'),
  unit: (settings) =>
    runShown(process.execPath, [
      'node_modules/vitest/vitest.mjs',
      'run',
      '--reporter=dot',
      '--reporter=json',
      `--outputFile.json=${settings.data}/unit.json`,
    ]),
  e2e: (settings) =>
    runShown(process.execPath, ['node_modules/@playwright/test/cli.js', 'test', '-c', 'e2e/playwright.config.ts'], {
      ...process.env,
      PEBBLESTRAND_TEST_REPORT: `${settings.data}/e2e.json`,
    }),
}

/** Lint and types keep one core busy each; the others use all there are. */
const rounds = [['lint', 'types'], ['unit'], ['e2e']]

/** Once it is told to end: what was ended must not be followed by the next part. */
let ending = false

async function interrupted() {
  ending = true
  await endRunning()
  process.exit(1)
}

orComplain(async () => {
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.once(signal, interrupted)
  endWithParent(interrupted)
  const settings = readSettings({ forTests: true })
  const chosen = process.argv.slice(2)
  const unknown = chosen.find((name) => !parts[name])
  if (unknown) throw new Complaint(`There is no part called ${unknown}; there are ${Object.keys(parts).join(', ')}.`)
  ensureSystemPackages(['postgresql', 'chromium-headless-shell', 'fonts-liberation'], say)
  ensureNodePackages(say)
  await buildWhatIsStale(say)
  for (const report of ['unit.json', 'e2e.json']) rmSync(`${settings.data}/${report}`, { force: true })
  const failed = []
  const run = async (name) => {
    say(name)
    const began = Date.now()
    if ((await parts[name](settings)) !== 0) failed.push(name)
    console.log(`${name}: ${Math.round((Date.now() - began) / 1000)} s`)
  }
  for (const sideBySide of rounds) {
    await Promise.all(sideBySide.filter((name) => !chosen.length || chosen.includes(name)).map(run))
    if (ending) return
  }
  const counts = countsOf(settings.data)
  if (counts.flaky.length)
    console.log(`\nPassed on the second try only:\n${counts.flaky.map((name) => `  ${name}`).join('\n')}`)
  if (counts.flaky.length > MOST_FLAKY) failed.push(`more than ${MOST_FLAKY} tests passed on the second try only`)
  if (failed.length) console.log(`\nNot well: ${failed.join(', ')}`)
  console.log(`\n${counts.passed} passed, ${counts.failed} failed`)
  process.exit(failed.length ? 1 : 0)
})
