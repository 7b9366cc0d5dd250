import { silent, startHost } from '../../testing/faults/host'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { gzipSync } from 'node:zlib'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { LIMITS, Outbound } from './client'
import { refusalOf } from './refusal'
import { standinsPort } from '../../testing/standins'

const standin = (path: string, host = 'troubled-feeds') => `http://${host}.localhost:${standinsPort()}${path}`
const code = (promise: Promise<unknown>) =>
  promise.then(
    () => 'answered',
    (error: { code?: string; message: string }) => `${error.code}: ${error.message}`,
  )

describe('addresses refused before any connection', () => {
  const closed = { localhostNames: false }
  const demo = { localhostNames: true }
  it.each([
    ['ftp://site.example/', /Only http and https/],
    ['file:///etc/passwd', /Only http and https/],
    ['javascript:alert(1)', /Only http and https/],
    ['not an address', /not a complete address/],
    ['http://u:p@site.example/', /name or password/],
    ['http://127.0.0.1/', /this machine itself/],
    ['http://[::1]:4600/', /this machine itself/],
    ['http://[::ffff:10.0.0.1]/', /private network/],
    ['http://192.168.1.1/', /private network/],
    ['http://169.254.169.254/latest/meta-data/', /local link/],
    ['http://0x7f.1/', /this machine itself/], // the URL parser makes it 127.0.0.1
    ['http://2130706433/', /this machine itself/],
    ['http://localhost:5432/', /this machine itself/],
    ['http://LOCALHOST./', /this machine itself/],
  ])('%s', (address, says) => {
    expect(refusalOf(address, closed)).toMatch(says)
    expect(refusalOf(address, demo)).toMatch(says)
  })
  it('lets the demo, and only the demo, reach names below localhost', () => {
    expect(refusalOf('http://gullhaven.localhost:4700/', demo)).toBeNull()
    expect(refusalOf('http://gullhaven.localhost:4700/', closed)).toMatch(/this machine itself/)
  })
  it('lets public addresses through', () => expect(refusalOf('https://ferries.example/a?b#c', closed)).toBeNull())
})

describe('one request', () => {
  const outbound = new Outbound({ localhostNames: true })
  let server: Server
  let own = ''
  beforeAll(async () => {
    server = createServer((request, response) => {
      if (request.url === '/bomb')
        return void response
          .writeHead(200, { 'content-encoding': 'gzip' })
          .end(gzipSync(Buffer.alloc(LIMITS.maxBytes + 1000)))
      if (request.url === '/hop') return void response.writeHead(302, { location: '/end' }).end()
      if (request.url === '/late') return void setTimeout(() => response.end('late'), 500)
      if (request.url === '/rebind') return void response.writeHead(302, { location: 'http://127.0.0.1:1/' }).end()
      response.end(JSON.stringify(request.headers))
    })
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
    own = `http://own.localhost:${(server.address() as AddressInfo).port}`
  })
  afterAll(async () => {
    await outbound.close()
    server.close()
  })

  it('says who asks, and gives status, headers, final address and time', async () => {
    const answer = await outbound.get(`${own}/hop`, { accept: 'text/html' })
    expect(answer).toMatchObject({ status: 200, url: `${own}/hop`, finalUrl: `${own}/end`, ms: expect.any(Number) })
    expect(JSON.parse(new TextDecoder().decode(answer.body))).toMatchObject({
      accept: 'text/html',
      'user-agent': expect.stringMatching(/^Pebblestrand\//),
    })
  })
  it('gives an error status as an answer', async () =>
    expect((await outbound.get(standin('/gone.xml'))).status).toBe(404))
  it('refuses a redirect into the machine', async () => {
    expect(await code(outbound.get(`${own}/rebind`))).toMatch(/^refused: 127\.0\.0\.1 leads to this machine itself/)
    expect(await code(outbound.get(standin('/inward.xml')))).toMatch(/^refused/)
  })
  it('stops after five redirects', async () =>
    expect(await code(outbound.get(standin('/round.xml')))).toMatch(/^too-many-redirects/))
  it('stops at 5 MiB, also when it is packed small', async () => {
    expect(await code(outbound.get(standin('/large.xml')))).toMatch(/^too-large: .*5 MiB/)
    expect(await code(outbound.get(`${own}/bomb`))).toMatch(/^too-large/)
  })
  it('does not wait for ever', async () => {
    const hasty = new Outbound({ localhostNames: true }, { ...LIMITS, timeoutMs: 700 })
    expect(await code(hasty.get(standin('/slow.xml')))).toMatch(/^timeout/)
    await hasty.close()
  })
  it('does not count the wait for its turn as the site being slow', async () => {
    const patient = new Outbound({ localhostNames: true }, { ...LIMITS, perHost: 1, timeoutMs: 2000 })
    const answers = await Promise.all(Array.from({ length: 5 }, () => patient.get(`${own}/late`)))
    expect(answers.map((a) => a.status)).toEqual([200, 200, 200, 200, 200])
    for (const { ms } of answers) expect(ms).toBeLessThan(2000)
    await patient.close()
  })
  it('names a site that is not there', async () => {
    expect(await code(outbound.get('http://nobody.localhost:1/'))).toMatch(
      /^no-answer: nobody\.localhost:1 does not answer/,
    )
    expect(await code(outbound.get('http://no-such-host.invalid/'))).toMatch(/^no-answer/)
  })
  it('does not reach localhost names outside the demo, even by their address', async () => {
    const closed = new Outbound({ localhostNames: false })
    expect(await code(closed.get(`${own}/end`))).toMatch(/^refused/)
    await closed.close()
  })
})

describe('a request that nobody waits for any more', () => {
  it('is given up on its way, and in line for its host', async () => {
    const host = await startHost('silent', silent)
    const patient = new Outbound({ localhostNames: true })
    const late = AbortSignal.timeout(300)
    const began = Date.now()
    const outcomes = await Promise.allSettled(Array.from({ length: 12 }, () => patient.get(host.at(), {}, late)))
    expect(Date.now() - began).toBeLessThan(3000)
    for (const outcome of outcomes) expect(outcome).toMatchObject({ status: 'rejected', reason: { code: 'given-up' } })
    expect(host.requests).toHaveLength(2) // the others kept no turn
    await patient.close()
    await host.stop()
  })
})
