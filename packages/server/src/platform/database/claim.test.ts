import { afterAll, beforeAll, beforeEach, expect, it } from 'vitest'
import { startTestSystem, type TestSystem } from '../../testing/system'
import { claimRow } from './claim'

let system: TestSystem
const id = '7f1f6c0a-3d55-4a0e-9d59-0f6e5f6f7a11'
beforeAll(async () => {
  system = await startTestSystem()
  await system.context.db.query('CREATE TABLE things (id uuid PRIMARY KEY, done boolean, claimed_until timestamptz)')
})
afterAll(() => system.stop())
beforeEach(async () => {
  await system.context.db.query(`TRUNCATE things`)
  await system.context.db.query(`INSERT INTO things VALUES ('${id}', false, NULL)`)
})

const claim = (seconds = 30) => claimRow(system.context.db, { table: 'things', id, as: 'NOT done', seconds })

it('is one’s alone, of many that ask at once, until it is released', async () => {
  const all = await Promise.all(Array.from({ length: 8 }, () => claim()))
  const got = all.filter((one) => one !== null)
  expect(got).toHaveLength(1)
  expect(await claim()).toBeNull()
  await got[0]!.release()
  expect(await claim()).not.toBeNull()
})

it('is another’s when its time is over, and is not released by who had it before', async () => {
  const before = await claim(0.01)
  await expect.poll(() => claim()).not.toBeNull()
  await before!.release()
  expect(await claim()).toBeNull()
})

it('is nobody’s where it is not what was asked for', async () => {
  await system.context.db.query('UPDATE things SET done = true')
  expect(await claim()).toBeNull()
})
