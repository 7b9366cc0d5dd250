import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { QueryTypes } from 'sequelize'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { startTestSystem, type TestSystem } from '../../testing/system'

// fetch-jobs.ts reads and writes the tables of the queue's package, which are its own affair: another version of them is looked at by a
// person first, beside that package's `plans.js` (`fetchNextJob`).

let system: TestSystem
beforeAll(async () => void (system = await startTestSystem()))
afterAll(() => system.stop())
const rows = <T extends object>(sql: string) => system.context.db.query<T>(sql, { type: QueryTypes.SELECT })

it('knows the version of the queue’s tables', async () => {
  expect(await rows('SELECT version FROM queue.version')).toEqual([{ version: 24 }])
})

it('knows the columns that it uses, and the states a job goes through', async () => {
  const columns = await rows<{ name: string; type: string }>(
    `SELECT column_name AS name, udt_name AS type FROM information_schema.columns WHERE table_schema = 'queue' AND table_name = 'job'`,
  )
  expect(Object.fromEntries(columns.map(({ name, type }) => [name, type]))).toMatchObject({
    id: 'uuid',
    name: 'text',
    data: 'jsonb',
    state: 'job_state',
    priority: 'int4',
    retry_count: 'int4',
    start_after: 'timestamptz',
    started_on: 'timestamptz',
    created_on: 'timestamptz',
  })
  const states = await rows<{ state: string }>(`SELECT unnest(enum_range(NULL::queue.job_state))::text AS state`)
  expect(states.map(({ state }) => state)).toEqual(['created', 'retry', 'active', 'completed', 'cancelled', 'failed'])
})

it('is fixed to one version of the package', () => {
  const own = JSON.parse(readFileSync(new URL('../../../package.json', import.meta.url), 'utf8')) as {
    dependencies: Record<string, string>
  }
  const installed = createRequire(import.meta.url)('pg-boss/package.json') as { version: string }
  expect(own.dependencies['pg-boss']).toBe(installed.version)
})
