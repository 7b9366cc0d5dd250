import { readFileSync } from 'node:fs'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { join } from 'node:path'
import { payloadOf } from '@pebblestrand/core/artefacts'
import { drawn, kindOf, usualAround, type Settings } from '@pebblestrand/core/kinds'
import { pathTo } from '@pebblestrand/core/wire'
import { chromium } from 'playwright-core'
import { root } from '../bin/launch/settings.mjs'
import { CHROMIUM } from '../packages/server/src/platform/browser/chromium-path'
import { median, type Ratio } from './stand'

const KINDS = ['corner-card', 'edge-bar', 'centre-dialog', 'full-cover', 'corner-card']
const ROUNDS = 7
/** Ms that a visitor stays; they scroll through the page meanwhile. */
const STAYS = 8000

/** Five that wait for what a visitor does: seconds, the page's end, the wish to leave. None comes while it is measured. */
function payloads(): Map<string, string> {
  const triggers = [{ on: 'seconds', seconds: 600 }, { on: 'leaving' }, { on: 'reached', selector: '#nowhere' }]
  return new Map(
    KINDS.map((id, n) => {
      const kind = kindOf(id)!
      const settings = kind.settings.parse({ heading: 'Regatta', pages: ['/*'], triggers }) as Settings
      const context = { widgetName: 'Regatta', sources: {}, facts: {}, around: usualAround }
      const payload = payloadOf(drawn(kind, { settings, items: [], context }), { release: 1, name: 'Regatta' })
      return [pathTo('payload', `w${n}`), JSON.stringify(payload)]
    }),
  )
}

/** Ms of the main thread that a stay on a page takes with five widgets over it, against the same page without any. */
export async function fiveOverAPage(): Promise<Ratio> {
  const dist = join(root, 'packages/widget/dist')
  const served = new Map([
    ...payloads(),
    [pathTo('script'), readFileSync(join(dist, 'strand.js'), 'utf8')],
    [pathTo('behaviour', 'over'), readFileSync(join(dist, 'behaviours/over.js'), 'utf8')],
  ])
  const text = Array.from(
    { length: 60 },
    (_, n) => `<h2>Part ${n}</h2><p>${'The ferry sails every hour. '.repeat(40)}</p>`,
  )
  const page = (more: string) =>
    `<!doctype html><html lang="en"><title>Ferries</title><main>${text.join('')}</main>${more}`
  const five =
    KINDS.map((_, n) => `<div data-pebblestrand="w${n}"></div>`).join('') +
    `<script async src="${pathTo('script')}"></script>`
  const server = createServer((request, response) => {
    const path = request.url!
    const type = path.endsWith('.js') ? 'text/javascript' : path.endsWith('.json') ? 'application/json' : 'text/html'
    response.writeHead(200, { 'content-type': `${type}; charset=utf-8`, 'cache-control': 'no-store' })
    response.end(served.get(path) ?? page(path === '/five' ? five : ''))
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const origin = `http://bench.localhost:${(server.address() as AddressInfo).port}`
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox'] })
  const stay = async (path: string) => {
    const visitor = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    const session = await visitor.context().newCDPSession(visitor)
    await session.send('Performance.enable')
    await visitor.goto(origin + path)
    if (path === '/five') await visitor.waitForSelector('[data-pebblestrand-over] >> nth=4', { state: 'attached' })
    for (const until = Date.now() + STAYS; Date.now() < until; await visitor.waitForTimeout(250))
      await visitor.mouse.wheel(0, 300)
    const { metrics } = await session.send('Performance.getMetrics')
    // Of the main thread, in seconds, since it was enabled (Chrome DevTools Protocol, Performance).
    const spent = metrics.find(({ name }) => name === 'TaskDuration')!.value * 1000
    await visitor.close()
    return spent
  }
  const [with5, without]: [number[], number[]] = [[], []]
  for (let round = 0; round < ROUNDS; round++) {
    with5.push(await stay('/five'))
    without.push(await stay('/none'))
  }
  await browser.close()
  server.close()
  const [one, other] = [median(with5), median(without)]
  return {
    name: `main thread of a page with five widgets over it, in ${STAYS / 1000} s`,
    measured: `${Math.round(one)} ms`,
    against: `the same page without any: ${Math.round(other)} ms`,
    ratio: one / other,
    wants: { most: 1.5 },
  }
}
