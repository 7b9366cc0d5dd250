import { QueryTypes } from 'sequelize'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { startTestSystem, type TestSystem } from '../testing/system'
import { facts } from './migration'

let system: TestSystem
beforeAll(async () => {
  system = await startTestSystem()
})
afterAll(() => system.stop())

it('what a source said in three columns is its facts, with what its service did not say', async () => {
  const { db } = system.context
  const profile = { handle: 'kiln', bio: 'Pots', counts: { posts: 3, followers: null, following: null } }
  const picture = { url: 'https://kiln.example/face.jpg', width: null, height: null, alt: '' }
  const transaction = await db.transaction()
  try {
    const run = (sql: string, bind: unknown[] = []) => db.query(sql, { bind, transaction })
    await run(
      `ALTER TABLE sources DROP COLUMN facts, ADD COLUMN rating jsonb, ADD COLUMN picture jsonb, ADD COLUMN profile jsonb`,
    )
    await run(
      `INSERT INTO sources (url, title, format, kind, content_hash, picture, profile)
       VALUES ('https://a.example', 'Kiln', 'json', 'photo-service', 'h', $1, $2), ('https://b.example', 'Guide', 'json-ld', 'structured-data', 'h', NULL, NULL)`,
      [JSON.stringify(picture), JSON.stringify(profile)],
    )
    for (const statement of facts.sql.split(';')) if (statement.trim()) await run(statement)
    const rows = await db.query(`SELECT facts, content_hash FROM sources ORDER BY url`, {
      type: QueryTypes.SELECT,
      transaction,
    })
    expect(rows).toEqual([
      { facts: { rating: null, picture, profile }, content_hash: 'h' },
      // Its hours were not looked for before: it is read anew.
      { facts: { rating: null, picture: null, profile: null }, content_hash: null },
    ])
  } finally {
    await transaction.rollback()
  }
})
