import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { LIMITS, Outbound, REQUESTS_PER_HOST, type OutboundAnswer } from '../platform/outbound/client'
import { giving, silent, startHost, type Host } from '../testing/faults/host'
import { planOn, publishedWidget } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { startWorker } from '../worker'
import { lookAtPage } from './look-at-page'
import { Check } from '../findings/models'
import { queueCheck } from '../findings/queue-check'

let system: TestSystem
let ada: Person
let widgetId: string
let [hanging, well]: Host[] = []
let stop = () => {}
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  ;[hanging, well] = await Promise.all([startHost('hanging', silent), startHost('well', giving('<main>Hello</main>'))])
  const feed = system.standins('skerrow-post', '/feeds/harbour.atom')
  const { id: sourceId } = (await ada.post('/api/sources', { url: feed })).body as { id: string }
  widgetId = await publishedWidget(ada, 'News', sourceId)
  await system.work()
})
afterAll(async () => {
  stop()
  await hanging!.stop()
  await well!.stop()
  await system.stop()
})

const done = (ids: string[]) => Check.count({ where: { installId: ids, state: 'done' } })

describe('a look that comes back late', () => {
  it('writes nothing over what another found meanwhile', async () => {
    const late = await startHost('late', giving('<main>Hello</main>'))
    const [installId] = await planOn(ada, widgetId, late, 1)
    const install = (await Install.findByPk(installId))!
    await system.work()
    const checkId = await queueCheck(system.context, install, 'person', null)
    let answer = () => {}
    const held = new Promise<void>((resolve) => (answer = resolve))
    const outbound = {
      get: async (...asked: Parameters<Outbound['get']>): Promise<OutboundAnswer> => {
        await held
        return system.context.outbound.get(...asked)
      },
    } as unknown as Context['outbound']
    const slow = lookAtPage({ ...system.context, outbound }, install.pageId)
    await vi.waitFor(async () => expect((await Check.findByPk(checkId))!.state).toBe('served'))
    // Two minutes later somebody else takes it over, and is through.
    await Check.update({ startedAt: new Date(Date.now() - 120_000) }, { where: { id: checkId } })
    await lookAtPage(system.context, install.pageId)
    const first = (await Check.findByPk(checkId))!
    expect(first.state).toBe('done')
    answer()
    await slow
    const after = (await Check.findByPk(checkId))!
    expect([after.state, after.finishedAt, after.readingId]).toEqual(['done', first.finishedAt, first.readingId])
    await late.stop()
  })
})

describe('a site that takes requests and never answers', () => {
  it('holds up nobody but itself, and is asked for each page once', async () => {
    const slow = await planOn(ada, widgetId, hanging!, 12)
    const healthy = await planOn(ada, widgetId, well!, 1)
    const outbound = new Outbound({ localhostNames: true }, { ...LIMITS, timeoutMs: 1500 })
    const began = Date.now()
    stop = await startWorker({ ...system.context, outbound })
    await vi.waitFor(async () => expect(await done(healthy)).toBe(1), { timeout: 20_000, interval: 50 })
    const waited = Date.now() - began
    expect(await done(slow)).toBeLessThanOrEqual(2 * REQUESTS_PER_HOST) // twelve of them take nine seconds
    expect(waited).toBeLessThan(4000)
    await vi.waitFor(async () => expect(await done(slow)).toBe(12), { timeout: 20_000, interval: 200 })
    expect(hanging!.requests).toHaveLength(12)
    expect(hanging!.mostAtOnce()).toBe(REQUESTS_PER_HOST)
    stop()
    await outbound.close()
  }, 60_000)
})
