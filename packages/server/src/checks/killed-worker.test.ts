import { afterAll, beforeAll, expect, it, vi } from 'vitest'
import { giving, slowly, startHost, type Host } from '../testing/faults/host'
import { startOtherWorker } from '../testing/faults/worker'
import { planOn, publishedWidget } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { Check } from '../findings/models'

let system: TestSystem
let site: Host
beforeAll(async () => {
  system = await startTestSystem()
  site = await startHost('killed', slowly(2500, giving('<main>Hello</main>')))
})
afterAll(async () => {
  await site.stop()
  await system.stop()
})

it('a check whose worker was killed is done by the next one', async () => {
  const ada = await new Person(system.app).join()
  const feed = system.standins('skerrow-post', '/feeds/harbour.atom')
  const { id: sourceId } = (await ada.post('/api/sources', { url: feed })).body as { id: string }
  const widgetId = await publishedWidget(ada, 'News', sourceId)
  await system.work()
  const [installId] = await planOn(ada, widgetId, site, 1)
  const check = (await Check.findOne({ where: { installId } }))!
  const { databaseUrl, origin } = system.context.config

  const worker = await startOtherWorker(databaseUrl, origin)
  await vi.waitFor(() => expect(site.requests).toHaveLength(1), { timeout: 60_000, interval: 20 })
  await worker.kill()
  expect((await check.reload()).state).toBe('served')

  // Two minutes later: the queue takes the job for lost, and the claim is old enough to be taken over.
  await system.context.db.query(`UPDATE checks SET started_at = now() - interval '2 minutes'`)
  await system.context.db.query(
    `UPDATE queue.job SET state = 'retry', start_after = now() WHERE name = 'look' AND state = 'active'`,
  )
  await system.work()
  expect((await check.reload()).state).toBe('done')
  expect(site.requests).toHaveLength(3) // once for who was killed, twice for who did it
}, 150_000)
