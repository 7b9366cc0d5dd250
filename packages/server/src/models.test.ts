import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { QueryTypes } from 'sequelize'
import { startTestSystem, type TestSystem } from './testing/system'
import { migrate } from './platform/database/migrations'
import { allMigrations } from './start'

let system: TestSystem
beforeAll(async () => {
  system = await startTestSystem()
})
afterAll(() => system.stop())

const ask = <T extends object>(sql: string) => system.context.db.query<T>(sql, { type: QueryTypes.SELECT })

describe('models and migrations agree', () => {
  it('column by column, and on what may be empty', async () => {
    const columns = await ask<{ table_name: string; column_name: string; is_nullable: string }>(
      `SELECT table_name, column_name, is_nullable FROM information_schema.columns WHERE table_schema = 'public'`,
    )
    for (const model of Object.values(system.context.db.models)) {
      const table = String(model.getTableName())
      const own = columns.filter((c) => c.table_name === table).map((c) => [c.column_name, c.is_nullable === 'YES'])
      const attributes = Object.values(model.getAttributes()).map((a) => [a.field!, a.allowNull !== false])
      expect([table, attributes.sort()]).toEqual([table, own.sort()])
    }
  })
  it('every foreign key can be followed from the other side by an index', async () => {
    const missing = await ask<{ where: string }>(`
      SELECT c.conrelid::regclass || '.' || a.attname AS "where" FROM pg_constraint c
      JOIN pg_attribute a ON a.attrelid = c.conrelid AND a.attnum = c.conkey[1]
      WHERE c.contype = 'f' AND c.connamespace = 'public'::regnamespace
        AND a.attname NOT IN ('keeper_id', 'created_by', 'published_by', 'asked_by', 'started_by', 'removed_by', 'user_id')
        AND NOT EXISTS (SELECT 1 FROM pg_index i WHERE i.indrelid = c.conrelid AND i.indkey[0] = a.attnum)`)
    expect(missing).toEqual([])
  })
  it('run again, and from two processes at once, migrations change nothing', async () => {
    expect(await Promise.all([1, 2].map(() => migrate(system.context.db, allMigrations)))).toEqual([[], []])
  })
})
