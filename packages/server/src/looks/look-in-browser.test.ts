import { readdirSync, readFileSync } from 'node:fs'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import sharp from 'sharp'
import { request } from 'undici'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { methods, type MethodId } from '@pebblestrand/core/methods'
import { Plan, verify, type Look, type Sight, type WidgetSight } from '@pebblestrand/core/verify'
import type { BrowserLookId } from '@pebblestrand/core/verify/words'
import { CHROMIUM } from '../platform/browser/chromium-path'
import { BrowserPool, VISIT } from '../platform/browser/pool'
import { BrowserProxy } from '../platform/browser/proxy'
import { Outbound } from '../platform/outbound/client'
import { giving, silent, startHost, type Host } from '../testing/faults/host'
import { askLinks } from './ask-links'
import { lookInBrowser } from './look-in-browser'

// Pages as a visitor's browser shows them: Chromium itself is the measure here.

const id = 'pk7h2-mq9xv-abcde'
const script = readFileSync(new URL('../../../widget/dist/strand.js', import.meta.url), 'utf8')
const items = (count: number) =>
  `<section class="w"><ul role="list">${Array.from({ length: count }, (_, i) => `<li><a href="https://news.example/${i}">Ferry ${i} sails at ten</a></li>`).join('')}</ul></section>`

const PICTURE = '<svg xmlns="http://www.w3.org/2000/svg" width="300" height="80"><rect width="300" height="80"/></svg>'
let pictures = true
let ours: Server
let origin = ''
let payload = { v: 2, release: 3, html: items(3), css: ':host{display:block}', behaviours: [], data: {} }
const well = payload
let pool: BrowserPool
const sites: Host[] = []

beforeAll(async () => {
  ours = createServer((request, response) => {
    const open = { 'access-control-allow-origin': '*', 'cross-origin-resource-policy': 'cross-origin' }
    if (request.url === '/strand.js')
      return void response.writeHead(200, { ...open, 'content-type': 'text/javascript' }).end(script)
    if (request.url?.startsWith('/p2/'))
      return void response.writeHead(200, { ...open, 'content-type': 'application/json' }).end(JSON.stringify(payload))
    if (/^\/r[12]\//.test(request.url ?? ''))
      return void response
        .writeHead(pictures ? 200 : 404, { 'content-type': 'image/svg+xml' })
        .end(pictures ? PICTURE : '')
    if (/^\/[fv]\//.test(request.url ?? ''))
      return void response.writeHead(200, { 'content-type': 'text/html' }).end(`<body>${items(2)}`)
    response.writeHead(404).end()
  })
  await new Promise<void>((resolve) => ours.listen(0, '127.0.0.1', resolve))
  origin = `http://127.0.0.1:${(ours.address() as AddressInfo).port}`
  pool = BrowserPool.at(
    CHROMIUM,
    { openings: { localhostNames: true }, own: origin },
    { ...VISIT, bytes: 3_000_000, ms: 25_000 },
  )!
})
afterAll(async () => {
  await pool.close()
  for (const site of sites) await site.stop()
  ours.close()
  ours.closeAllConnections()
})

/** Process ids of this process's children whose program's name begins so (proc(5): pid, name in brackets, state, parent). */
const children = (name: string): number[] =>
  readdirSync('/proc')
    .filter((entry) => /^\d+$/.test(entry))
    .flatMap((entry) => {
      try {
        const [, own, parent] = /\((.*)\) \S (\d+)/.exec(readFileSync(`/proc/${entry}/stat`, 'utf8'))!
        return own!.startsWith(name) && Number(parent) === process.pid ? [Number(entry)] : []
      } catch {
        return [] // it has ended meanwhile
      }
    })

const snippet = (method: MethodId = 'inline') =>
  methods[method].text({ origin, publicId: id, name: 'Harbour news', agency: 'T & T', width: 300, height: 200 })
const page = (sidebar: string, more = '') => `<!DOCTYPE html><html><head><title>Timetable</title><style>
body{margin:0;display:grid;grid-template-columns:1fr 300px}header,footer{grid-column:1/3}
@media(max-width:700px){body{display:block}}</style>${more}</head>
<body><header><a href="/">Home</a> <a href="/t">Timetable</a></header>
<div><h1>Timetable</h1><p>${'The ferry sails every hour from seven to seven. '.repeat(12)}</p></div>
<div>${sidebar}</div><footer>© Ferries</footer></body></html>`

async function serve(answer: Parameters<typeof startHost>[1]): Promise<string> {
  const host = await startHost(`seen${sites.length}`, answer)
  sites.push(host)
  return host.at('/')
}

const methodIn = (html: string): MethodId =>
  html.includes('/f/')
    ? 'frame'
    : html.includes('<iframe')
      ? 'link'
      : html.includes('data-pebblestrand-opens')
        ? 'opener'
        : html.includes('<img')
          ? 'picture'
          : 'inline'

async function see(html: string, hows: BrowserLookId[] = ['desktop'], headers: Record<string, string> = {}) {
  const url = await serve(
    (_request, response) =>
      void response.writeHead(200, { 'content-type': 'text/html; charset=utf-8', ...headers }).end(html),
  )
  const sightings = await pool.visit(async (visit) => {
    const all = []
    for (const how of hows) all.push(await lookInBrowser(visit, url, how, origin))
    return all
  })
  const looks = sightings.map(({ look }) => look)
  const plain: Look = { ...looks[0]!, how: 'served', html, sight: null, url, finalUrl: url, status: 200, headers }
  const plan = Plan.parse({
    install: id,
    origin,
    placement: { region: 'sidebar', width: 300 },
    url,
    release: payload.release,
    method: methodIn(html),
  })
  const verdict = verify(plan, [plain, ...looks])
  return {
    verdict,
    codes: verdict.findings.map(({ code }) => code),
    looks,
    pictures: sightings.map(({ picture }) => picture),
    widget: looks.at(-1)!.sight?.widgets[0],
  }
}

describe('what a browser sees', () => {
  it('a widget that is there: ready, its items, its release, its box, in the narrower column', async () => {
    const { codes, widget, verdict, pictures } = await see(page(snippet()), ['phone', 'tablet', 'desktop'])
    expect(codes).toEqual([])
    expect(widget).toMatchObject({
      id,
      ready: true,
      items: 3,
      release: 3,
      unseen: null,
      overflows: false,
      beside: 'narrower',
    })
    expect(widget!.box).toMatchObject({ x: 980, width: 300 })
    expect(widget!.links).toHaveLength(3)
    expect(widget!.room).toBe(300)
    expect(widget!.around![0]).toMatchObject({ x: 980, width: 300 })
    expect(verdict).toMatchObject({ status: 'confirmed', facts: { region: 'sidebar', copies: 1 } })
    for (const picture of pictures) expect(picture!.subarray(0, 3)).toEqual(Buffer.from([0xff, 0xd8, 0xff])) // JPEG
  }, 60_000)
  it('is pictured once its pictures are there', async () => {
    const red =
      '<svg xmlns="http://www.w3.org/2000/svg" width="200" height="100"><rect width="200" height="100" fill="#e00000"/></svg>'
    const url = await serve((request, response) => {
      if (request.url !== '/slow.svg')
        return void response
          .writeHead(200, { 'content-type': 'text/html' })
          .end(
            '<body style="margin:0"><script>onload=()=>{const i=new Image(200,100);i.src="/slow.svg";document.body.prepend(i)}</script>',
          )
      setTimeout(() => response.writeHead(200, { 'content-type': 'image/svg+xml' }).end(red), 900)
    })
    const { picture } = await pool.visit((visit) => lookInBrowser(visit, url, 'desktop', origin))
    const { data } = await sharp(picture!)
      .extract({ left: 100, top: 50, width: 1, height: 1 })
      .raw()
      .toBuffer({ resolveWithObject: true })
    expect(data[0]).toBeGreaterThan(180)
    expect(data[1]).toBeLessThan(60)
  }, 60_000)
  it('a frame, looked into', async () => {
    const { codes, widget } = await see(page(snippet('frame')))
    expect(codes).toEqual([])
    expect(widget).toMatchObject({ method: 'frame', ready: true, items: 2 })
  }, 60_000)
  /** As editors show pasted code: in a frame of its own, drawn as high as somebody drew it. */
  const inCodeFrame = (code: string, height: number, more = '') =>
    page(
      `<div${more}><iframe sandbox="allow-scripts" width="100%" height="${height}" style="border:0" srcdoc="${code.replace(/&/g, '&amp;').replace(/"/g, '&quot;')}"></iframe></div>`,
    )
  it.each([80, 300, 640])(
    'in an editor’s code frame as well, as far as it is drawn: %i px of content',
    async (high) => {
      payload = { ...well, css: `:host{display:block}section{height:${high}px;overflow:hidden}` }
      // The element keeps 200 px, and the frame's body has its usual margin.
      const { codes, widget, verdict } = await see(inCodeFrame(snippet(), Math.max(200, high) + 20))
      expect(codes).toEqual([])
      expect(widget).toMatchObject({
        method: 'inline',
        ready: true,
        items: 3,
        unseen: null,
        room: 300,
        beside: 'narrower',
      })
      expect(widget!.box).toMatchObject({ x: 988, width: 284, height: Math.max(200, high) })
      expect(verdict.facts.region).toBe('sidebar')
      payload = well
    },
    60_000,
  )
  it('a code frame that is too low, or hidden, is said to be so', async () => {
    payload = { ...well, css: ':host{display:block}section{height:600px;overflow:hidden}' }
    const low = await see(inCodeFrame(snippet(), 300))
    expect(low.codes).toEqual(['overflow'])
    expect(low.verdict.findings[0]!.says).toContain('its frame is 300 px high and the widget needs 608 px.')
    const slit = await see(inCodeFrame(snippet(), 100))
    expect(slit.codes).toEqual(['hidden'])
    const gone = await see(inCodeFrame(snippet(), 700, ' style="display:none"'))
    expect(gone.codes).toEqual(['hidden'])
    payload = well
  }, 60_000)
  // Written when they run: only then our address is known.
  const cases: Record<string, { html: () => string; code: string; says: string; headers?: Record<string, string> }> = {
    covered: {
      html: () =>
        page(
          `<div style="position:relative">${snippet()}<div style="position:absolute;inset:0;background:#eee">Map</div></div>`,
        ),
      code: 'hidden',
      says: 'covered by',
    },
    'not displayed by a linked sheet': {
      html: () =>
        page(
          `<div class="gone">${snippet()}</div>`,
          '<link rel="stylesheet" href="data:text/css,.gone{display:none}">',
        ),
      code: 'hidden',
      says: 'not displayed',
    },
    'in a place without size': {
      html: () => page(`<div style="height:0;width:0;overflow:hidden">${snippet()}</div>`),
      code: 'hidden',
      says: 'a place',
    },
    'stopped by a policy': {
      html: () => page(snippet()),
      code: 'blocked',
      says: 'content security policy',
      headers: { 'content-security-policy': "script-src 'self'" },
    },
    'stopped by another script': {
      html: () => page(snippet(), '<script>fetch = () => new Promise(() => {})</script>'),
      code: 'script-error',
      says: 'did not fill',
    },
    'taken away again': {
      html: () =>
        page(
          snippet(),
          '<script>addEventListener("load",()=>document.querySelector("[data-pebblestrand]").remove())</script>',
        ),
      code: 'hidden',
      says: 'scripts take away',
    },
  }
  it.each(Object.keys(cases))(
    '%s',
    async (name) => {
      const { html, code, says, headers } = cases[name]!
      const { codes, verdict } = await see(html(), ['desktop'], headers)
      expect(codes).toEqual([code])
      expect(verdict.findings[0]!.says).toContain(says)
    },
    60_000,
  )
  it('nothing to show, an older release, too wide', async () => {
    payload = { ...well, html: items(0) }
    expect((await see(page(snippet()))).codes).toEqual(['empty'])
    payload = { ...well, html: `<div style="width:2000px">${items(2)}</div>` }
    expect((await see(page(snippet()))).codes).toEqual(['overflow'])
    payload = well
  }, 90_000)
  it('what opens a widget, and a picture of one', async () => {
    expect((await see(page(snippet('opener')), ['phone', 'desktop'])).codes).toEqual([])
    expect((await see(page(snippet('picture')), ['phone', 'desktop'])).codes).toEqual([])
    expect((await see(page(snippet('opener').replace(/<script[\s\S]*/, '')))).codes).toEqual(['script-stripped'])
    pictures = false
    expect((await see(page(snippet('picture')))).codes).toEqual(['script-error'])
    pictures = true
    const kept = "default-src 'none'; style-src 'unsafe-inline'"
    const blocked = await see(page(snippet('picture')), ['desktop'], { 'content-security-policy': kept })
    expect(blocked.codes).toEqual(['blocked'])
    expect(blocked.verdict.findings[0]!.data.rule).toBe(`img-src ${origin}`)
  }, 90_000)
  it('an address that an editor shows in a frame', async () => {
    const framed = `<iframe src="${methods.link.text({ origin, publicId: id, name: 'x', agency: 'x', width: 300, height: 200 })}" title="x" width="300" height="200" style="border:0"></iframe>`
    expect((await see(page(framed))).codes).toEqual([])
  }, 60_000)
  it('what delay tools hold back and let go again is no fault', async () => {
    const held = snippet().replace('<script', '<script type="later/javascript"')
    const tool =
      '<script>addEventListener("DOMContentLoaded",()=>{for(const old of document.querySelectorAll("script[type^=later]")){const s=document.createElement("script");s.src=old.src;old.replaceWith(s)}})</script>'
    expect((await see(page(held, tool))).codes).toEqual([])
    expect((await see(page(held))).codes).toEqual(['script-stripped'])
  }, 60_000)
  it('a page that scripts fill', async () => {
    const filled = `<!DOCTYPE html><title>x</title><body><div id="app"></div><script>document.body.innerHTML = ${JSON.stringify(
      page('MARK')
        .replace(/^[\s\S]*<body>/, '')
        .replace('MARK', snippet().replace(/<script[\s\S]*/, '')),
    ).replace(
      /<\//g,
      '<\\/',
    )};const s=document.createElement('script');s.src='${origin}/strand.js';document.body.append(s)</script>`
    expect((await see(filled)).verdict.findings.filter(({ code }) => code === 'unreachable')).toEqual([])
  }, 60_000)
})

describe('links', () => {
  it('that lead nowhere are told of the widget that has them; refusals and trouble are not', async () => {
    const outbound = new Outbound({ localhostNames: true })
    const statuses: Record<string, number> = { '/gone': 410, '/not-here': 404, '/wall': 403, '/ill': 503, '/well': 200 }
    const site = await startHost(
      'links',
      (asked, response) => void response.writeHead(statuses[asked.url!]!, { 'content-type': 'text/html' }).end('x'),
    )
    sites.push(site)
    const widget = (links: string[]) => ({ links: links.map((path) => site.at(path)) }) as WidgetSight
    const sight = {
      widgets: [widget(['/gone', '/wall', '/ill']), widget(['/well', '/not-here']), { links: [`${origin}/x`] }],
    } as Sight
    await askLinks(outbound, [sight], origin)
    expect(sight.widgets.map(({ broken }) => broken)).toEqual([
      [{ url: site.at('/gone'), problem: 'answers 410' }],
      [{ url: site.at('/not-here'), problem: 'answers 404' }],
      [],
    ])
    await outbound.close()
  })
})

describe('pages that behave badly', () => {
  const visit = (url: string) => pool.visit((one) => lookInBrowser(one, url, 'desktop', origin))
  it('one that never answers is given up', async () => {
    const { look } = await visit(await serve(silent))
    expect(look.error).toMatchObject({ code: 'timeout' })
  }, 60_000)
  it('windows, questions and passwords stop nothing', async () => {
    const rude = `<script>open('/other');alert(1);confirm(2);prompt(3);onbeforeunload=()=>'stay'</script>`
    expect((await see(page(snippet(), rude))).codes).toEqual([])
    const asked = await serve(
      (_request, response) => void response.writeHead(401, { 'www-authenticate': 'Basic realm="x"' }).end('no'),
    )
    expect((await visit(asked)).look.error).toMatchObject({ code: 'asks-password' })
  }, 60_000)
  // A script is read to its end; of a picture that is none the browser reads the beginning only.
  it('one that takes too much is given up', async () => {
    const heavy = await serve((request, response) => {
      response.writeHead(200, { 'content-type': request.url === '/' ? 'text/html' : 'text/javascript' })
      response.end(request.url === '/' ? page('<script src="/big.js"></script>') : `/*${' '.repeat(5_000_000)}*/`)
    })
    expect((await visit(heavy)).look.error).toMatchObject({ code: 'too-large' })
  }, 60_000)
  it('one that leads on without end, or into private networks, is not followed', async () => {
    const round = await serve(
      (request, response) => void response.writeHead(302, { location: `/${Number(request.url!.slice(1)) + 1}` }).end(),
    )
    expect((await visit(round)).look.error).toMatchObject({ code: 'no-answer' })
    const inward = await startHost('inward', giving('secret'))
    sites.push(inward)
    const { port } = new URL(inward.at())
    const before = inward.requests.length
    const html = page(
      `<img src="http://127.0.0.1:${port}/a"><iframe src="http://localhost:${port}/b"></iframe><script>fetch('http://[::1]:${port}/c').catch(()=>{})</script>`,
    )
    await see(html)
    expect(inward.requests.length).toBe(before)
    expect((await visit(`http://127.0.0.1:${port}/`)).look.status).not.toBe(200)
  }, 90_000)
  it('one that brings its tab down costs its own look only', async () => {
    const hungry = await serve(
      giving(page('', '<script>const all=[];for(;;)all.push(new Array(1e6).fill(1.5))</script>')),
    )
    const [bad, good] = await Promise.all([visit(hungry), see(page(snippet()))])
    expect(bad.look.error).not.toBeNull()
    expect(good.codes).toEqual([])
  }, 90_000)
  it('a browser that was killed is started anew', async () => {
    const running = children('chrom')
    expect(running.length).toBeGreaterThan(0)
    for (const pid of running) process.kill(pid, 'SIGKILL')
    await vi.waitFor(() => expect(children('chrom').filter((pid) => running.includes(pid))).toEqual([]), {
      timeout: 10_000,
    })
    expect((await see(page(snippet()))).codes).toEqual([])
  }, 90_000)
  it('one that was closed says so to whoever comes then', async () => {
    const closed = BrowserPool.at(CHROMIUM, { openings: { localhostNames: true }, own: origin })!
    await closed.close()
    await expect(closed.visit(async () => 'seen')).rejects.toMatchObject({ closing: true })
  })
  it('nobody without a pass is let through the proxy', async () => {
    const proxy = new BrowserProxy({ openings: { localhostNames: true }, own: origin })
    const { statusCode, body } = await request(await proxy.listen())
    await body.dump()
    expect(statusCode).toBe(407)
    await proxy.close()
  })
})
