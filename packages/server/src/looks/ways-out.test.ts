import { createSocket, type Socket } from 'node:dgram'
import { once } from 'node:events'
import { createServer, type Server } from 'node:net'
import { chromium, type BrowserContext } from 'playwright-core'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { CHROMIUM } from '../platform/browser/chromium-path'
import { BrowserPool, VISIT } from '../platform/browser/pool'
import { giving, startHost, type Host } from '../testing/faults/host'

// A page that is looked at may ask for anything. Nothing leaves but by the proxy, which checks addresses: traps on this machine, which no
// look may reach, hear nothing. The same page in a Chromium as it comes springs them, so that the traps are known to work.

const heard: string[] = []
let udp: Socket
let tcp: Server
let site: Host
let at: { udp: number; tcp: number }
const pool = BrowserPool.at(
  CHROMIUM,
  { openings: { localhostNames: true }, own: 'http://127.0.0.1:9' },
  { ...VISIT, ms: 40_000 },
)!

beforeAll(async () => {
  udp = createSocket('udp4').on('message', () => heard.push('udp'))
  udp.bind(0, '127.0.0.1')
  await once(udp, 'listening')
  tcp = createServer((socket) => {
    heard.push('tcp')
    socket.destroy()
  }).listen(0, '127.0.0.1')
  await once(tcp, 'listening')
  at = { udp: udp.address().port, tcp: (tcp.address() as { port: number }).port }
  site = await startHost('ways-out', giving('<!doctype html><title>Ways out</title><h1>Ways out</h1>'))
})
afterAll(async () => {
  await pool.close()
  await site.stop()
  udp.close()
  tcp.close()
})
beforeEach(() => void heard.splice(0))

/** What a page tries, in the page; each gives a promise that is done when it has had its time. */
const attempts = {
  'WebRTC to a server that says where one is, and to a peer': async ({ udp, tcp }: { udp: number; tcp: number }) => {
    const iceServers = [
      { urls: `stun:127.0.0.1:${udp}` },
      { urls: `turn:127.0.0.1:${udp}?transport=udp`, username: 'a', credential: 'b' },
      { urls: `turn:127.0.0.1:${tcp}?transport=tcp`, username: 'a', credential: 'b' },
    ]
    const [one, two] = [new RTCPeerConnection({ iceServers }), new RTCPeerConnection()]
    one.createDataChannel('x')
    await one.setLocalDescription()
    await two.setRemoteDescription(one.localDescription!)
    await two.setLocalDescription()
    await one.setRemoteDescription(two.localDescription!)
    for (const peer of [one, two])
      await peer
        .addIceCandidate({ candidate: `candidate:1 1 udp 2113937151 127.0.0.1 ${udp} typ host`, sdpMid: '0' })
        .catch(() => {})
    await new Promise((done) => setTimeout(done, 4000))
  },
  'names and connections asked for ahead': async ({ tcp }: { tcp: number }) => {
    for (const rel of [
      'dns-prefetch',
      'preconnect',
      'prefetch',
      'preload',
      'modulepreload',
      'prerender',
      'icon',
      'manifest',
    ])
      document.head.append(
        Object.assign(document.createElement('link'), { rel, href: `http://127.0.0.1:${tcp}/${rel}`, as: 'script' }),
      )
    document.head.append(
      Object.assign(document.createElement('script'), {
        type: 'speculationrules',
        textContent: JSON.stringify({
          prefetch: [{ source: 'list', urls: [`http://127.0.0.1:${tcp}/a`], eagerness: 'immediate' }],
          prerender: [{ source: 'list', urls: [`http://127.0.0.1:${tcp}/b`], eagerness: 'immediate' }],
        }),
      }),
    )
    await new Promise((done) => setTimeout(done, 1000))
  },
  'requests of every sort': async ({ tcp }: { tcp: number }) => {
    const address = `http://127.0.0.1:${tcp}/`
    navigator.sendBeacon(address, 'x')
    fetch(address, { mode: 'no-cors', keepalive: true }).catch(() => {})
    new EventSource(address)
    try {
      new WebSocket(`ws://127.0.0.1:${tcp}/`)
    } catch {
      // Refused at once.
    }
    new Image().src = address
    const link = Object.assign(document.createElement('a'), { href: '#x', ping: address })
    document.body.append(link)
    link.click()
    document.body.insertAdjacentHTML(
      'beforeend',
      `<iframe src="${address}"></iframe><object data="${address}"></object><video src="${address}"></video><link rel=stylesheet href="${address}">`,
    )
    await new Promise((done) => setTimeout(done, 1000))
  },
  'WebTransport and QUIC': async ({ udp }: { udp: number }) => {
    try {
      await Promise.race([
        new WebTransport(`https://127.0.0.1:${udp}/`).ready,
        new Promise((done) => setTimeout(done, 2000)),
      ])
    } catch {
      // Refused at once.
    }
  },
}

async function tryIn(context: BrowserContext, name: keyof typeof attempts): Promise<void> {
  const page = await context.newPage()
  await page.goto(site.at())
  await page.evaluate(`(globalThis.__name ??= (f) => f, (${attempts[name].toString()})(${JSON.stringify(at)}))`)
}

describe('nothing leaves past the proxy', () => {
  it.each(Object.keys(attempts) as (keyof typeof attempts)[])(
    '%s',
    async (name) => {
      await pool.visit(({ context }) => tryIn(context, name))
      expect(heard).toEqual([])
    },
    60_000,
  )
  it('while the same page in a Chromium as it comes is heard', async () => {
    const browser = await chromium.launch({
      executablePath: CHROMIUM,
      args: ['--no-sandbox', '--disable-background-networking', '--host-resolver-rules=MAP *.localhost 127.0.0.1'],
    })
    try {
      const context = await browser.newContext()
      for (const name of Object.keys(attempts) as (keyof typeof attempts)[]) await tryIn(context, name)
      expect(new Set(heard)).toEqual(new Set(['udp', 'tcp']))
    } finally {
      await browser.close()
    }
  }, 60_000)
})

describe('a page that wants something of whoever looks', () => {
  const lookAt = (script: string) =>
    pool.visit(async ({ context }) => {
      const page = await context.newPage()
      page.on('dialog', (dialog) => void dialog.dismiss().catch(() => {}))
      await page.goto(site.at())
      const came = await page.evaluate(`(async () => { ${script} })()`)
      return { came, pages: context.pages().length }
    })
  it('is not given leave for anything', async () => {
    const { came } = await lookAt(`
      const asked = ['geolocation', 'notifications', 'camera', 'microphone', 'midi', 'persistent-storage'];
      const states = await Promise.all(asked.map((name) => navigator.permissions.query({ name }).then(({ state }) => state, () => 'unknown')));
      const place = await new Promise((done) => navigator.geolocation?.getCurrentPosition(() => done('told'), () => done('refused'), { timeout: 1000 }) ?? done('none'));
      const seen = await (navigator.mediaDevices?.getUserMedia({ video: true }).then(() => 'told', () => 'refused') ?? 'none');
      return [...states, place, seen]`)
    expect(came).not.toContain('granted')
    expect(came).not.toContain('told')
  }, 60_000)
  it('that prints, asks, opens windows and saves files is looked at all the same', async () => {
    const { came, pages } = await lookAt(`
      print(); alert(1); confirm(2); prompt(3);
      for (let n = 0; n < 1000; n++) open('about:blank', 'w' + n);
      const link = Object.assign(document.createElement('a'), { href: 'data:application/zip;base64,AAAA', download: 'a.zip' });
      document.body.append(link); for (let n = 0; n < 20; n++) link.click();
      return document.title`)
    expect(came).toBe('Ways out')
    expect(pages).toBeLessThan(20)
  }, 60_000)
})
