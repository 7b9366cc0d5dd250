import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { Install } from '../installs/models'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { setScene } from '../testing/scene'
import { endLostChecks } from '../checks/lost'
import { lookAtPage } from '../checks/look-at-page'
import { Check, Look, Reading, Round } from './models'
import { queueCheck } from './queue-check'
import { startRound } from '../checks/rounds'

let system: TestSystem
let ada: Person
let install: Install
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  const { widgetId, pageId, placements } = await setScene(system, ada, 'ninefold-choir', '/concerts')
  const { body } = await ada.post('/api/installs', { widgetId, pageId, placementId: placements.main })
  install = (await Install.findByPk((body as { id: string }).id))!
  await system.work()
})
afterAll(() => system.stop())

const jobsWaiting = async () =>
  (
    await system.context.db.query(
      `SELECT id FROM queue.job WHERE name = 'look' AND state = 'created' AND data->>'pageId' = :pageId`,
      {
        replacements: { pageId: install.pageId },
      },
    )
  )[0].length

describe('asking for a check', () => {
  it('queues its job with it', async () => {
    await queueCheck(system.context, install, 'person', null)
    expect(await jobsWaiting()).toBe(1)
  })
  it('gives the one that waits, and a new one beside one that runs', async () => {
    const waiting = await queueCheck(system.context, install, 'person', null)
    expect(await queueCheck(system.context, install, 'person', null)).toBe(waiting)
    await Check.update({ state: 'served', startedAt: new Date() }, { where: { id: waiting } })
    expect(await queueCheck(system.context, install, 'person', null)).not.toBe(waiting)
    await system.work()
    await Check.update({ state: 'done' }, { where: { id: waiting } })
  })
  it('leaves no check behind that no job will do', async () => {
    const before = await Check.count()
    const queue = Object.create(system.context.queue, {
      sendMany: { value: () => Promise.reject(new Error('the queue is away')) },
    }) as typeof system.context.queue
    await expect(queueCheck({ ...system.context, queue }, install, 'person', null)).rejects.toThrow('away')
    await expect(startRound({ ...system.context, queue }, null)).rejects.toThrow('away')
    expect(await Check.count()).toBe(before)
    expect(await Round.count({ where: { state: 'running' } })).toBe(0)
  })
})

describe('one look at a page', () => {
  it('serves every install that waits on it, and is kept once', async () => {
    const { widgetId, pageId, placements } = await setScene(system, ada, 'brackenfold', '/orchard', 'Orchard news')
    for (const placementId of [placements.main, placements.sidebar, placements.footer])
      await ada.post('/api/installs', { widgetId, pageId, placementId })
    const fetched = vi.spyOn(system.context.outbound, 'get')
    await system.work()
    expect(fetched).toHaveBeenCalledTimes(2) // as served, and past the cache
    fetched.mockRestore()
    const checks = await Check.findAll({
      where: { installId: (await Install.findAll({ where: { pageId } })).map((i) => i.id) },
    })
    expect(checks.map((c) => c.state)).toEqual(['done', 'done', 'done'])
    expect(new Set(checks.map((c) => c.readingId)).size).toBe(1)
    expect(await Reading.count({ where: { pageId } })).toBe(1)
    expect(await Look.count({ where: { readingId: checks[0]!.readingId! } })).toBe(2)
  })
  it('is taken by one worker, however many come at once', async () => {
    await queueCheck(system.context, install, 'person', null)
    const fetched = vi.spyOn(system.context.outbound, 'get')
    await Promise.all([1, 2, 3].map(() => lookAtPage(system.context, install.pageId)))
    expect(fetched).toHaveBeenCalledTimes(2)
    fetched.mockRestore()
  })
})

describe('a check whose worker went away', () => {
  it('ends as broken off after ten minutes, and its round closes; younger and waiting ones stay', async () => {
    const round = await startRound(system.context, null)
    const lost = (await Check.findOne({ where: { roundId: round.id } }))!
    await lost.update({ state: 'fresh', startedAt: new Date(Date.now() - 9 * 60_000) })
    await endLostChecks()
    expect((await lost.reload()).state).toBe('fresh')
    await lost.update({ startedAt: new Date(Date.now() - 11 * 60_000) })
    await endLostChecks()
    expect(await lost.reload()).toMatchObject({ state: 'failed', problem: 'The check was broken off. Check again.' })
    const waiting = await queueCheck(system.context, install, 'person', null)
    await endLostChecks()
    expect((await Check.findByPk(waiting))!.state).toBe('queued')
  })
})
