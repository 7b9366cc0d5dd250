import { afterAll, beforeAll, expect, it } from 'vitest'
import type { Context } from '../platform/context'
import { Outbound } from '../platform/outbound/client'
import { startHost, type Host } from '../testing/faults/host'
import { lackOfBrowser, lookPlainly } from './gather-looks'
import type { Check } from '../findings/models'

let host: Host
let broken = 0
const outbound = new Outbound({ localhostNames: true })
beforeAll(async () => {
  host = await startHost('flaky', (request, response) => {
    if (broken-- > 0) return void request.socket.destroy()
    response.writeHead(200, { 'content-type': 'text/html' }).end('<main>Hello</main>')
  })
})
afterAll(async () => {
  await outbound.close()
  await host.stop()
})
const look = () => lookPlainly({ outbound } as Context, { url: host.at(), preview: null }, async () => {})

it('a connection that breaks off once is tried again', async () => {
  broken = 1
  const looks = await look()
  expect(looks.map(({ how, error, status }) => [how, error, status])).toEqual([
    ['served', null, 200],
    ['fresh', null, 200],
  ])
})
it('one that breaks off twice could not be looked at, and is not asked past the cache', async () => {
  broken = 2
  const looks = await look()
  expect(looks).toHaveLength(1)
  expect(looks[0]).toMatchObject({ how: 'served', error: { code: 'no-answer' } })
})

it('where a person asked and there is no browser, that is said; not where nobody could look at all', async () => {
  broken = 0
  const looks = await look()
  const url = host.at()
  const asked = (cause: 'person' | 'round') => [{ cause }] as Check[]
  const without = { config: { chromium: '/nowhere/chromium' } } as Context
  const having = { config: { chromium: process.execPath } } as Context // any program will do
  expect(lackOfBrowser(having, { url, checks: asked('person') }, looks)).toEqual([])
  expect(lackOfBrowser(without, { url, checks: asked('person') }, looks)).toMatchObject([
    { picture: null, look: { how: 'desktop', error: { message: expect.stringContaining('no Chromium') } } },
  ])
  expect(lackOfBrowser(without, { url, checks: asked('round') }, looks)).toEqual([])
  broken = 2
  expect(lackOfBrowser(without, { url, checks: asked('person') }, await look())).toEqual([])
})
