import { existsSync, readFileSync } from 'node:fs'

const read = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null)

/** Browser tests of a run that may pass on their second try only: more, and chance decides too much. */
export const MOST_FLAKY = 2

/** Titles of the browser tests that failed first and passed on their second try, with their files. */
export function flakyOf(report) {
  const within = (suite, path) => [
    ...(suite.specs ?? [])
      .filter(({ tests }) => tests.some(({ status }) => status === 'flaky'))
      .map(({ file, title }) => [file, ...path, title].join(' › ')),
    ...(suite.suites ?? []).flatMap((inner) => within(inner, [...path, inner.title])),
  ]
  return (report?.suites ?? []).flatMap((file) => within(file, []))
}

/** How many tests passed and failed, and which passed on their second try only, from the two runners' own reports. */
export function countsOf(folder) {
  const unit = read(`${folder}/unit.json`)
  const e2e = read(`${folder}/e2e.json`)
  const flaky = flakyOf(e2e)
  return {
    passed: (unit?.numPassedTests ?? 0) + (e2e?.stats?.expected ?? 0) + flaky.length,
    failed: (unit?.numFailedTests ?? 0) + (e2e?.stats?.unexpected ?? 0),
    flaky,
  }
}
