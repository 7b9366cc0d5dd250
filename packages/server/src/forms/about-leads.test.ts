import { randomUUID } from 'node:crypto'
import { QueryTypes } from 'sequelize'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { STRAY } from './retention'
import { startTestSystem, type TestSystem } from '../testing/system'
import { ABOUT_LEADS } from './about-leads'
import { Mail } from '../mail/models'

let system: TestSystem
beforeAll(async () => {
  system = await startTestSystem()
})
afterAll(() => system.stop())

/** How the database would go about it, were each look through a whole table dear: what no index serves is looked through all the same. */
const plan = (sql: string, bind: object) =>
  system.context.db.transaction(async (transaction) => {
    await system.context.db.query('SET LOCAL enable_seqscan = off', { transaction })
    const rows = await system.context.db.query<{ 'QUERY PLAN': string }>(`EXPLAIN ${sql}`, {
      bind: { ...bind },
      type: QueryTypes.SELECT,
      transaction,
    })
    return rows.map((row) => row['QUERY PLAN']).join('\n')
  })

describe('mails about leads', () => {
  it('are found by any of them', async () => {
    const [first, second, third] = [randomUUID(), randomUUID(), randomUUID()]
    const mail = { kind: 'lead-reply', toMail: 'a@b.example', subject: '', text: '', html: '' }
    for (const leadIds of [[first, second], [third], []]) await Mail.create({ ...mail, leadIds })
    const about = async (leads: string[]) =>
      (
        await system.context.db.query<{ ids: string[] }>(`SELECT lead_ids AS ids FROM mails WHERE ${ABOUT_LEADS}`, {
          bind: { leads },
          type: QueryTypes.SELECT,
        })
      ).map(({ ids }) => ids)
    expect(await about([second, randomUUID()])).toEqual([[first, second]])
    expect(await about([first, third])).toEqual(expect.arrayContaining([[first, second], [third]]))
    expect(await about([])).toEqual([])
  })
  it('are found by an index, and what they are about as well', async () => {
    const found = await plan(`SELECT id FROM mails WHERE ${ABOUT_LEADS}`, { leads: [randomUUID()] })
    expect(found).toContain('mails_leads')
    expect(found).not.toContain('Seq Scan on mails')
    const stray = await plan(STRAY, { now: new Date() })
    expect(stray).toContain('leads_pkey')
    expect(stray).not.toMatch(/Seq Scan on (?:leads|removed_rows)/)
  })
})
