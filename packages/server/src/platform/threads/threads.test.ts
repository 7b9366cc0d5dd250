import { Plan } from '@pebblestrand/core/verify'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { runCheck } from '../../checks/run'
import { Install } from '../../installs/models'
import { readFeed } from '../../sources/read-feed'
import { Person, startTestSystem, type TestSystem } from '../../testing/system'
import { setScene } from '../../testing/scene'
import type { Context } from '../context'
import type { OutboundAnswer } from '../outbound/client'
import { Threads, TooTangled } from './threads'

// A parser that follows the HTML standard looks through the open elements at every tag: so many of them take it hours.
const tangled = '<div>'.repeat(400_000)
const plan = Plan.parse({ install: 'abcd', origin: 'https://s.example', placement: { region: 'main' } })
const answer = (html: string) => ({
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
  const threads = new Threads({ ms: 3000, megabytes: 200 })
  afterAll(() => threads.close())
  const judge = (html: string) => threads.run('judge', { plan, evidence: { served: answer(html), fresh: null } })

  it('does its work apart, errors told as data', async () => {
    expect((await judge('<main><div data-pebblestrand="abcd"></div></main>')).findings[0]!.code).toBe('script-stripped')
    expect(await threads.run('readFeed', { text: '', base: 'https://a.example/' })).toMatchObject({
      code: 'feed-empty',
    })
  })
  it('is ended when a document takes too long, and the next one is read all the same', async () => {
    const [bad, good] = await Promise.allSettled([judge(tangled), judge('<main>Hi</main>')])
    expect(bad).toMatchObject({ status: 'rejected', reason: expect.any(TooTangled) })
    expect(good).toMatchObject({ status: 'fulfilled', value: { findings: [{ code: 'absent' }] } })
    expect((await judge('<main>Hi</main>')).findings).toHaveLength(1)
  })
  it('does not count the wait for its turn', async () => {
    // Two at a time: the third has waited for as long as it may take itself.
    const all = await Promise.allSettled([judge(tangled), judge(tangled), judge('<main>Hi</main>')])
    expect(all.map((one) => one.status)).toEqual(['rejected', 'rejected', 'fulfilled'])
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
    context = { ...system.context, outbound, threads: new Threads({ ms: 3000, megabytes: 200 }) }
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
    await runCheck(context, checkId)
    expect((await ada.get(`/api/checks/${checkId}`)).body).toMatchObject({
      state: 'done',
      findings: [
        {
          code: 'unreachable',
          says: 'The page is too tangled to be looked through. It could not be read within 3 seconds.',
        },
      ],
    })
  })
  it('as a feed: a web page; as its feeds: none', async () =>
    expect(await readFeed(context, 'https://a.example/')).toMatchObject({ kind: 'page' }))
})
