import { QueryTypes } from 'sequelize'
import { afterAll, beforeAll, expect, it, vi } from 'vitest'
import { unlessDeadlocked } from '../platform/database/deadlock'
import { planned, setScene, type Scene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { lookAtPage } from './look-at-page'
import { Install } from '../installs/models'
import { Page } from '../sites/models'
import { Check } from '../findings/models'

let system: TestSystem
let scene: Scene
let ada: Person
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada)
  await system.work()
})
afterAll(() => system.stop())

const waitingForLocks = async () => {
  const [row] = await system.context.db.query<{ count: string }>(
    `SELECT count(*) FROM pg_stat_activity WHERE datname = current_database() AND wait_event_type = 'Lock'`,
    { type: QueryTypes.SELECT },
  )
  return Number(row!.count)
}

it('a check that writes its verdict while its install is being removed waits for that, and stops', async () => {
  const install = await planned(ada, scene, 'sidebar')
  const { db } = system.context
  const looking = await db.transaction(async (transaction) => {
    const replacements = { id: install.id }
    await db.query('SELECT id FROM installs WHERE id = :id FOR UPDATE', { replacements, transaction })
    const look = lookAtPage(system.context, scene.pageId).then(
      () => null,
      (error: unknown) => error,
    )
    await vi.waitFor(async () => expect(await waitingForLocks()).toBe(1), { timeout: 20_000, interval: 50 })
    await db.query(`UPDATE checks SET state = 'stopped' WHERE install_id = :id`, { replacements, transaction })
    await db.query('DELETE FROM installs WHERE id = :id', { replacements, transaction })
    return { look }
  })
  expect(await looking.look).toBeNull()
  expect(await Check.count({ where: { installId: install.id } })).toBe(0)
}, 60_000)

it('a check that began before another and ends after it does not undo what that one saw', async () => {
  const install = await planned(ada, scene, 'footer')
  const { db } = system.context
  let newer: Check
  const looking = await db.transaction(async (transaction) => {
    const replacements = { id: install.id }
    await db.query('SELECT id FROM installs WHERE id = :id FOR UPDATE', { replacements, transaction })
    const look = lookAtPage(system.context, scene.pageId)
    await vi.waitFor(async () => expect(await waitingForLocks()).toBe(1), { timeout: 20_000, interval: 50 })
    const now = new Date()
    newer = await Check.create(
      { installId: install.id, cause: 'person', state: 'done', startedAt: now, finishedAt: now },
      { transaction },
    )
    const seen = { status: 'confirmed', confirmedAt: now, lastCheckId: newer.id } as const
    await Install.update(seen, { where: { id: install.id }, transaction })
    const policy = { at: 'seen by the newer one' }
    await db.query('UPDATE pages SET policy_seen = :policy WHERE id = :page', {
      replacements: { policy: JSON.stringify(policy), page: scene.pageId },
      transaction,
    })
    return { look }
  })
  await looking.look
  expect(await install.reload()).toMatchObject({ status: 'confirmed', lastCheckId: newer!.id })
  const [older] = await Check.findAll({ where: { installId: install.id, cause: 'plan' } })
  expect(older).toMatchObject({ state: 'done', statusAfter: 'planned' })
  // Nor what it noted of the page.
  expect((await Page.findByPk(scene.pageId))!.policySeen).toEqual({ at: 'seen by the newer one' })
}, 60_000)

it('what two transactions undid for each other is done again', async () => {
  const { db } = system.context
  await db.query('CREATE TABLE pair (id int PRIMARY KEY, n int NOT NULL)')
  await db.query('INSERT INTO pair VALUES (1, 0), (2, 0)')
  let met: () => void = () => {}
  const bothHold = new Promise<void>((resolve) => (met = resolve))
  let holding = 0
  const tries = [0, 0]
  const add = (own: number, first: number, second: number) =>
    unlessDeadlocked(() =>
      db.transaction(async (transaction) => {
        tries[own]!++
        await db.query(`UPDATE pair SET n = n + 1 WHERE id = ${first}`, { transaction })
        if (++holding === 2) met()
        await bothHold
        await db.query(`UPDATE pair SET n = n + 1 WHERE id = ${second}`, { transaction })
      }),
    )
  await Promise.all([add(0, 1, 2), add(1, 2, 1)])
  expect(tries[0]! + tries[1]!).toBe(3)
  expect(await db.query('SELECT n FROM pair ORDER BY id', { type: QueryTypes.SELECT })).toEqual([{ n: 2 }, { n: 2 }])
}, 60_000)
