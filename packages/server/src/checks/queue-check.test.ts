import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Install } from '../installs/models'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { setScene } from '../testing/scene'
import { endLostChecks } from './lost'
import { Check, Round } from './models'
import { queueCheck } from './queue-check'
import { startRound } from './rounds'

let system: TestSystem
let install: Install
beforeAll(async () => {
  system = await startTestSystem()
  const ada = await new Person(system.app).join()
  const { widgetId, pageId, placements } = await setScene(system, ada, 'ninefold-choir', '/concerts')
  const { body } = await ada.post('/api/installs', { widgetId, pageId, placementId: placements.main })
  install = (await Install.findByPk((body as { id: string }).id))!
  await system.work()
})
afterAll(() => system.stop())

const jobsFor = async (checkId: string) =>
  (
    await system.context.db.query(`SELECT id FROM queue.job WHERE name = 'check' AND data->>'checkId' = :checkId`, {
      replacements: { checkId },
    })
  )[0].length

describe('asking for a check', () => {
  it('queues its job with it', async () => {
    const id = await queueCheck(system.context, install, 'person', null)
    expect(await jobsFor(id)).toBe(1)
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
    expect((await round.reload()).state).toBe('done')
    const waiting = await queueCheck(system.context, install, 'person', null)
    await endLostChecks()
    expect((await Check.findByPk(waiting))!.state).toBe('queued')
  })
})
