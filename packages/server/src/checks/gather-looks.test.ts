import { afterAll, beforeAll, expect, it } from 'vitest'
import type { Context } from '../platform/context'
import { Outbound } from '../platform/outbound/client'
import { startHost, type Host } from '../testing/faults/host'
import { lookPlainly } from './gather-looks'

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
