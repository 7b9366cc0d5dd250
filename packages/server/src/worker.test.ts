import { afterAll, beforeAll, expect, vi } from 'vitest'
import { Instance } from './accounts/models'
import { Check } from './findings/models'
import { lookJob } from './findings/queue-check'
import { story } from './testing/story'
import { Person, startTestSystem, type TestSystem } from './testing/system'
import { setScene } from './testing/scene'
import { startWorker } from './worker'

let system: TestSystem
let stop = () => {}
beforeAll(async () => {
  system = await startTestSystem()
})
afterAll(async () => {
  stop()
  await system.stop()
})

const health = async () => (await system.app.inject('/api/health')).json() as unknown
const jobs = async () =>
  (await system.context.db.query(`SELECT name, state FROM queue.job WHERE name = 'look'`))[0] as { state: string }[]

story('the worker', (step) => {
  step('is missed while there is none', async () =>
    expect(await health()).toEqual({ status: 'down', parts: { database: true, queue: true, worker: false } }),
  )

  step('does what was queued before it came, a job that cannot be done not in the way of the others', async () => {
    const ada = await new Person(system.app).join()
    const scene = await setScene(system, ada, 'ninefold-choir', '/concerts')
    await system.context.queue.send(lookJob, { pageId: 'no-id-at-all', share: 'a.example' })
    await ada.post('/api/installs', {
      widgetId: scene.widgetId,
      pageId: scene.pageId,
      placementId: scene.placements.main,
    })
    expect(await Check.count({ where: { state: 'queued' } })).toBe(1)
    stop = await startWorker(system.context)
    await vi.waitFor(async () => expect(await Check.count({ where: { state: 'done' } })).toBe(1), {
      timeout: 15_000,
      interval: 200,
    })
    await vi.waitFor(async () => expect((await jobs()).map((j) => j.state).sort()).toEqual(['completed', 'retry']), {
      timeout: 10_000,
      interval: 200,
    })
  })

  step('is seen to be well, and missed after half a minute of silence', async () => {
    expect(await health()).toEqual({ status: 'ok' })
    await Instance.update({ value: new Date(Date.now() - 31_000).toISOString() }, { where: { key: 'worker-seen' } })
    expect(await health()).toMatchObject({ status: 'down', parts: { worker: false } })
  })
})
