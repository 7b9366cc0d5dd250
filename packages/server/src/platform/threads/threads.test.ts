import { Plan, type Look } from '@pebblestrand/core/verify'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { lookAtPage } from '../../checks/look-at-page'
import { Install } from '../../installs/models'
import { connectors } from '../../sources/connector'
import { Person, startTestSystem, type TestSystem } from '../../testing/system'
import { setScene } from '../../testing/scene'
import type { Context } from '../context'
import type { OutboundAnswer } from '../outbound/client'
import { Threads, TooTangled } from './threads'

// A parser that follows the HTML standard looks through the open elements at every tag: so many of them would take it hours.
const tangled = '<div>'.repeat(400_000)
/** Nothing is wrong with it but that it takes seconds to read. */
const long = '<p>x</p>'.repeat(280_000)
const plan = Plan.parse({ install: 'abcd', origin: 'https://s.example', placement: { region: 'main' } })
const answer = (html: string): Look => ({
  how: 'served',
  url: 'https://a.example/',
  finalUrl: 'https://a.example/',
  status: 200,
  headers: {},
  html,
  at: '2026-11-24T10:00:00.000Z',
  ms: 1,
  error: null,
})

describe('a thread that reads', () => {
  const threads = new Threads({ quickMs: 300, ms: 400, megabytes: 400 })
  /** For what must not need a limit of time: it has one that a busy machine keeps. */
  const patient = new Threads({ quickMs: 20_000, ms: 20_000, megabytes: 400 })
  afterAll(() => Promise.all([threads.close(), patient.close()]))
  const judge = async (html: string, share?: string) =>
    (await threads.run('judge', { plans: [plan], looks: [answer(html)] }, share))[0]!

  it('does its work apart, errors told as data', async () => {
    expect((await judge('<main><div data-pebblestrand="abcd"></div></main>')).findings[0]!.code).toBe('script-stripped')
    expect(await threads.run('readSource', { kind: 'feed', text: '', base: 'https://a.example/' })).toMatchObject({
      code: 'feed-empty',
    })
  })
  it('is ended when a document takes too long, and the next one is read all the same', async () => {
    const [bad, good] = await Promise.allSettled([judge(long), judge('<main>Hi</main>')])
    expect(bad).toMatchObject({ status: 'rejected', reason: expect.any(TooTangled) })
    expect(good).toMatchObject({ status: 'fulfilled', value: { findings: [{ code: 'absent' }] } })
    expect((await judge('<main>Hi</main>')).findings).toHaveLength(1)
  })
  it('does not count the wait for its turn', async () => {
    // One at a time for each: the third has waited for longer than it may take itself.
    const all = await Promise.allSettled([judge(long), judge(long), judge('<main>Hi</main>')])
    expect(all.map((one) => one.status)).toEqual(['rejected', 'rejected', 'fulfilled'])
  })
  it('reads a page while eight others of one site take long', async () => {
    const others = Promise.allSettled(Array.from({ length: 8 }, () => judge(long, 'slow.example')))
    const first = Promise.race([
      others.then(() => 'others'),
      judge('<main>Hi</main>', 'well.example').then(() => 'well'),
    ])
    expect(await first).toBe('well')
    await others
  })
  it('what is nested too deep is too tangled, at once, in whatever is done with it', async () => {
    const html = '<template>'.repeat(40_000)
    const [found] = await patient.run('judge', { plans: [plan], looks: [answer(html)] })
    expect(found!.findings).toMatchObject([{ code: 'unreachable', says: expect.stringMatching(/too tangled/) }])
    const base = 'https://a.example/'
    await expect(patient.run('discover', { kind: 'feed', html, base })).rejects.toThrow(TooTangled)
    const placement = { region: 'main' as const }
    await expect(patient.run('pageWithRoom', { html, placement, install: null })).rejects.toThrow(TooTangled)
  })
})

describe('a tangled document', () => {
  let system: TestSystem
  let context: Context
  beforeAll(async () => {
    system = await startTestSystem()
    const served: OutboundAnswer = {
      ...answer(''),
      headers: { 'content-type': 'text/html' },
      body: Buffer.from(tangled),
    }
    const outbound = { get: async () => served } as unknown as Context['outbound']
    context = { ...system.context, outbound, threads: new Threads({ quickMs: 1000, ms: 3000, megabytes: 400 }) }
  })
  afterAll(async () => {
    await context.threads.close()
    await system.stop()
  })

  it('as a page under check: it does not answer, and why', async () => {
    const ada = await new Person(system.app).join()
    const { widgetId, pageId, placements } = await setScene(system, ada, 'ninefold-choir', '/concerts')
    const { body } = await ada.post('/api/installs', { widgetId, pageId, placementId: placements.main })
    const { id } = body as { id: string }
    await Install.update({ status: 'pasted', pastedAt: new Date() }, { where: { id } })
    const { checkId } = (await ada.post(`/api/installs/${id}/checks`)).body as { checkId: string }
    await lookAtPage(context, pageId)
    expect((await ada.get(`/api/checks/${checkId}`)).body).toMatchObject({
      state: 'done',
      findings: [
        {
          code: 'unreachable',
          says: 'The page is too tangled to be looked through: it is nested too deep, or too crowded.',
        },
      ],
    })
  })
  it('as a feed: a web page; as its feeds: none', async () =>
    expect(await connectors.feed!.read(context, { url: 'https://a.example/' })).toMatchObject({ kind: 'page' }))
})
