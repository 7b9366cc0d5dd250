import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { browserLookIds, lookKinds } from '@pebblestrand/core/verify/words'
import { verify } from '@pebblestrand/core/verify'
import { cases } from '../packages/core/corpus/corpus'
import { lookInBrowser } from '../packages/server/src/looks/look-in-browser'
import { CHROMIUM } from '../packages/server/src/platform/browser/chromium-path'
import { BrowserPool } from '../packages/server/src/platform/browser/pool'
import { median, type Ratio } from './stand'

const ROUNDS = 7

const html = `<!DOCTYPE html><html><head><title>Timetable</title></head><body><header>Ferries</header><main><h1>Timetable</h1>${'<p>The ferry sails every hour, and the picture shows it.</p><img src="/p.png" width="200" height="120" alt="">'.repeat(40)}</main><footer>© Ferries</footer></body></html>`

/** A look by the browser at its three widths, against loading the page three times in windows of those widths. */
export async function browserLooks(): Promise<Ratio[]> {
  const site = createServer((request, response) => {
    const isPicture = request.url === '/p.png'
    response.writeHead(200, { 'content-type': isPicture ? 'image/png' : 'text/html', 'cache-control': 'no-store' })
    response.end(isPicture ? Buffer.alloc(400) : html)
  })
  await new Promise<void>((resolve) => site.listen(0, '127.0.0.1', resolve))
  const url = `http://bench.localhost:${(site.address() as AddressInfo).port}/`
  const pool = BrowserPool.at(CHROMIUM, {
    openings: { localhostNames: true },
    own: 'https://strand.example',
  })
  if (!pool) return []
  const timed = async (work: () => Promise<unknown>) => {
    const began = performance.now()
    await work()
    return performance.now() - began
  }
  const look = () =>
    pool.visit(async (visit) => {
      for (const how of browserLookIds) await lookInBrowser(visit, url, how, 'https://strand.example')
    })
  const bare = () =>
    pool.visit(async ({ context }) => {
      for (const how of browserLookIds) {
        const page = await context.newPage()
        await page.setViewportSize(lookKinds[how].window)
        await page.goto(url, { waitUntil: 'load' })
        await page.screenshot({ type: 'jpeg', quality: 60, fullPage: true })
        await page.close()
      }
    })
  await look()
  const [looks, loads]: number[][] = [[], []]
  for (let round = 0; round < ROUNDS; round++) {
    looks!.push(await timed(look))
    loads!.push(await timed(bare))
  }
  await pool.close()
  site.close()
  const [mine, theirs] = [median(looks!), median(loads!)]
  return [
    {
      name: 'a look by the browser at three widths',
      measured: `${Math.round(mine)} ms`,
      against: `three bare loads with a picture each: ${Math.round(theirs)} ms`,
      ratio: mine / theirs,
      wants: { most: 1.4 },
    },
  ]
}

/** Memory after 10,000 verdicts, against after 1,000: nothing of a page may stay. */
export function flatMemory(): Ratio {
  const all = cases()
  const settled = () => {
    globalThis.gc?.()
    return process.memoryUsage().heapUsed
  }
  let at = 0
  const some = (count: number) => {
    for (let i = 0; i < count; i++, at++) verify(all[at % all.length]!.plan, all[at % all.length]!.looks)
    return settled()
  }
  const first = some(1000)
  const last = some(9000)
  return {
    name: 'memory after 10,000 verdicts',
    measured: `${Math.round(last / 1e6)} MB`,
    against: `after 1,000: ${Math.round(first / 1e6)} MB`,
    ratio: last / first,
    wants: { most: 1.3 },
  }
}
