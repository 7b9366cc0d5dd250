import { existsSync, readFileSync } from 'node:fs'

const read = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null)

/** How many tests passed and failed, from the two runners' own reports. */
export function countsOf(folder) {
  const unit = read(`${folder}/unit.json`)
  const e2e = read(`${folder}/e2e.json`)
  return {
    passed: (unit?.numPassedTests ?? 0) + (e2e?.stats?.expected ?? 0),
    failed: (unit?.numFailedTests ?? 0) + (e2e?.stats?.unexpected ?? 0) + (e2e?.stats?.flaky ?? 0),
  }
}
