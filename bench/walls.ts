import { readFileSync } from 'node:fs'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { payloadOf } from '@pebblestrand/core/artefacts'
import type { Item } from '@pebblestrand/core/items'
import { drawn, kindOf } from '@pebblestrand/core/kinds'
import { masonry } from '@pebblestrand/core/layout'
import { pathTo } from '@pebblestrand/core/wire'
import { chromium } from 'playwright-core'
import sharp from 'sharp'
import { root } from '../bin/launch/settings.mjs'
import { CHROMIUM } from '../packages/server/src/platform/browser/chromium-path'
import { drawScene } from '../packages/standins/src/drawing/scenes'
import { median, timeOf, type Ratio } from './stand'

const shapes = [
  [1080, 1080],
  [1080, 1350],
  [1080, 720],
] as const
const kind = kindOf('photo-wall')!
const posts = (count: number, picture: (n: number) => string) =>
  Array.from({ length: count }, (_, n): Item => {
    const [width, height] = shapes[(n * 7) % shapes.length]!
    return {
      id: `s:${n}`,
      author: 'Orrin Kiln',
      publishedAt: '2026-11-01T00:00:00.000Z',
      link: `https://frames.example/p/${n}`,
      language: null,
      labels: [],
      body: {
        type: 'post',
        title: '',
        text: `Out of the kiln this morning, number ${n}. #glaze`,
        pictures: [{ url: picture(n), width, height, alt: 'A pot' }],
        isClip: false,
        likes: n,
        comments: 1,
      },
    }
  })
const rendered = (count: number, settings: object, picture: (n: number) => string) =>
  drawn(kind, {
    settings: kind.settings.parse({ count: Math.min(200, count), title: 'none', ...settings }),
    items: posts(count, picture),
    context: { widgetName: 'Wall', sources: {}, facts: {} },
  })

/** Where 500 cells of a wall stand, at one number of columns, against sorting as many numbers. */
export function masonryOf500(): Ratio {
  const cells = Array.from({ length: 500 }, (_, n) => ({ ratio: 0.6 + ((n * 37) % 100) / 100, fixed: 24 }))
  const [placing, sorting] = [
    timeOf(() => masonry(cells, 4, 8, 240), 101),
    timeOf(() => cells.map(({ ratio }) => ratio).sort((a, b) => a - b), 101),
  ]
  return {
    name: 'masonry of 500',
    measured: `${placing.toFixed(2)} ms`,
    against: `sorting 500 numbers: ${sorting.toFixed(2)} ms`,
    ratio: placing / sorting,
    wants: { most: 20 },
  }
}

/** What visitors are sent at first for a wall of 200 by twelves, against all of it at once; both compressed. */
export function wallOf200(): Ratio {
  const own = (n: number) => `https://strand.example/i1/${n}.jpg`
  const size = (settings: object) =>
    gzipSync(JSON.stringify(payloadOf(rendered(200, settings, own), { release: 1, name: 'Wall' }))).length
  const [first, whole] = [
    size({ layout: 'masonry', ratio: 'own', more: '12' }),
    size({ layout: 'masonry', ratio: 'own' }),
  ]
  return {
    name: 'payload of a wall of 200, shown by twelves',
    measured: `${(first / 1024).toFixed(1)} kB`,
    against: `all of it at once: ${(whole / 1024).toFixed(1)} kB`,
    ratio: first / whole,
    wants: { most: 0.5 },
  }
}

const ROUNDS = 9

/** Ms until every picture in view is there. A text: what compiles this file would write names of its own into a function. */
const PICTURES_IN_VIEW = `new Promise((resolve) => {
  const look = () => {
    const root = document.querySelector('[data-pebblestrand]')?.shadowRoot ?? document
    const inView = [...root.querySelectorAll('img.p')].filter((one) => one.getBoundingClientRect().top < innerHeight)
    if (inView.length && inView.every((one) => one.complete && one.naturalWidth)) resolve(performance.now())
    else requestAnimationFrame(look)
  }
  look()
})`

/** When every picture in view of a grid of 100 is there that our script shows, against a static page with the same markup, style and pictures. */
export async function firstPaintOf100(): Promise<Ratio> {
  const picture = await sharp(Buffer.from(drawScene('pot-1')))
    .resize(320, 320)
    .jpeg()
    .toBuffer()
  const script = readFileSync(join(root, 'packages/widget/dist/strand.js'))
  const wall = (origin: string) =>
    rendered(100, { columns: 5, click: 'original' }, (n) => `${origin}/pictures/${n}.jpg`)
  const page = (inside: string) => `<!DOCTYPE html><html><head><title>Wall</title></head><body>${inside}</body></html>`
  const id = 'aaaaa-bbbbb-ccccc-ddddd'
  const bytes: Record<string, (origin: string) => [string, string | Buffer]> = {
    '/ours': (origin) => [
      'text/html',
      page(`<div data-pebblestrand="${id}"></div><script async src="${origin}${pathTo('script')}"></script>`),
    ],
    '/static': (origin) => {
      const { html, css } = wall(origin)
      return ['text/html', page(`<style>${css.replaceAll(':host', '#w')}</style><div id="w">${html}</div>`)]
    },
    [pathTo('script')]: () => ['text/javascript', script],
    [pathTo('payload', id)]: (origin) => [
      'application/json',
      JSON.stringify(payloadOf(wall(origin), { release: 1, name: 'Wall' })),
    ],
  }
  const made = new Map<string, [string, string | Buffer]>()
  const server = createServer((request, response) => {
    const origin = `http://${request.headers.host}`
    const path = request.url!
    const answer = bytes[path] && (made.get(path) ?? bytes[path](origin))
    if (answer) made.set(path, answer)
    const [type, body] = answer ?? ['image/jpeg', picture]
    response.writeHead(200, { 'content-type': type, 'access-control-allow-origin': '*', 'cache-control': 'no-store' })
    response.end(body)
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const origin = `http://bench.localhost:${(server.address() as AddressInfo).port}`
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox'] })
  const paint = async (path: string) => {
    const visitor = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await visitor.goto(origin + path, { waitUntil: 'commit' })
    const at = await visitor.evaluate<number>(PICTURES_IN_VIEW)
    await visitor.close()
    return at
  }
  await paint('/ours')
  await paint('/static')
  const [ours, others]: number[][] = [[], []]
  for (let round = 0; round < ROUNDS; round++) {
    ours!.push(await paint('/ours'))
    others!.push(await paint('/static'))
  }
  await browser.close()
  server.close()
  const [mine, theirs] = [median(ours!), median(others!)]
  return {
    name: 'pictures in view of a grid of 100 on a client’s page',
    measured: `${Math.round(mine)} ms`,
    against: `a static page with the same markup and pictures: ${Math.round(theirs)} ms`,
    ratio: mine / theirs,
    wants: { most: 1.2 },
  }
}
