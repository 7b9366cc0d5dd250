import { execFileSync } from 'node:child_process'
import { createSocket } from 'node:dgram'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { BrowserPool } from '../../packages/server/src/platform/browser/pool'
import { Outbound } from '../../packages/server/src/platform/outbound/client'
import { readConfig } from '../../packages/server/src/platform/config'
import { tell } from './namespace'

// In a network of its own: nothing here reaches any other. One address that anybody may reach, and loopback, which nobody may.
const PUBLIC = '1.2.3.4'
const PRIVATE = '127.0.0.1'
const NAME = 'changing.example'

execFileSync('ip', ['link', 'set', 'lo', 'up'])
execFileSync('ip', ['addr', 'add', `${PUBLIC}/32`, 'dev', 'lo'])
const resolver = join(mkdtempSync(join(tmpdir(), 'rebinding-')), 'resolv.conf')
writeFileSync(resolver, 'nameserver 127.0.0.1\noptions timeout:1 attempts:1\n')
execFileSync('mount', ['--bind', resolver, '/etc/resolv.conf'])

/** What the resolver says: of each question, the next of these lists of addresses. */
const answers: Record<string, string[][]> = {
  'in turn': [[PUBLIC], [PRIVATE]],
  'private every third time': [[PUBLIC], [PUBLIC], [PRIVATE]],
  'both at once': [[PUBLIC, PRIVATE]],
  'both, the private one first': [[PRIVATE, PUBLIC]],
  'private from the second on': [[PUBLIC], ...Array.from({ length: 500 }, () => [PRIVATE])],
}
let plan: string[][] = []
let asked = 0

/** RFC 1035, section 4.1: the question as it came, then A records with a time to live of 0. */
function reply(question: Buffer): Buffer {
  let end = 12
  while (question[end] !== 0) end += question[end]! + 1
  end += 5
  const isA = question.readUInt16BE(end - 4) === 1
  const addresses = isA ? plan[asked++ % plan.length]! : []
  const head = Buffer.from(question.subarray(0, 12))
  head.writeUInt16BE(0x8180, 2)
  head.writeUInt16BE(addresses.length, 6)
  head.writeUInt32BE(0, 8)
  const records = addresses.map((address) =>
    Buffer.from([0xc0, 12, 0, 1, 0, 1, 0, 0, 0, 0, 0, 4, ...address.split('.').map(Number)]),
  )
  return Buffer.concat([head, question.subarray(12, end), ...records])
}
const dns = createSocket('udp4', (message, { port, address }) => dns.send(reply(message), port, address))
await new Promise<void>((resolve) => dns.bind(53, PRIVATE, resolve))

/** Requests by the address that they reached. */
const reached = { public: 0, private: 0 }
const page = `<!doctype html><title>x</title><script>
  setInterval(() => fetch('/again?' + Math.random()).catch(() => {}), 30)
  setInterval(() => { const f = document.createElement('iframe'); f.src = '/framed?' + Math.random(); document.body.append(f) }, 200)
</script><body>Hello`
const site = createServer((request, response) => {
  reached[request.socket.localAddress === PUBLIC ? 'public' : 'private']++
  response.writeHead(200, { 'content-type': 'text/html', connection: 'close' }).end(page)
})
await new Promise<void>((resolve) => site.listen(80, '0.0.0.0', resolve))

const address = `http://${NAME}/`
for (const [name, said] of Object.entries(answers)) {
  ;[plan, asked, reached.public, reached.private] = [said, 0, 0, 0]
  const outbound = new Outbound({ localhostNames: false })
  for (let round = 0; round < 20; round++)
    await Promise.all(Array.from({ length: 3 }, () => outbound.get(`${address}?${round}`).catch(() => null)))
  await outbound.close()
  tell({
    fault: `a name that leads to loopback ${name}, fetched 60 times`,
    seen: `${asked} questions to the resolver, ${reached.public} requests reached the public address, ${reached.private} the private one`,
    well: asked > 0 && reached.private === 0,
  })
}

const config = readConfig({
  DATABASE_URL: 'postgres://nobody@127.0.0.1/none',
  PEBBLESTRAND_ORIGIN: 'https://strand.example',
})
const pool = BrowserPool.at(config.chromium, { openings: { localhostNames: false }, own: config.origin })
if (!pool) tell({ fault: 'the same in a browser', seen: 'there is no browser here', well: null })
else {
  for (const [name, said] of Object.entries(answers)) {
    ;[plan, asked, reached.public, reached.private] = [said, 0, 0, 0]
    await pool
      .visit(async ({ context }) => {
        const opened = await context.newPage()
        for (let again = 0; again < 3; again++) {
          await opened.goto(address, { timeout: 5000 }).catch(() => {})
          await opened.waitForTimeout(2000)
        }
      })
      .catch(() => {})
    tell({
      fault: `a name that leads to loopback ${name}, opened in a browser whose page asks for it again and again`,
      seen: `${asked} questions to the resolver, ${reached.public} requests reached the public address, ${reached.private} the private one`,
      well: asked > 0 && reached.private === 0,
    })
  }
  await pool.close()
}
process.exit(0)
