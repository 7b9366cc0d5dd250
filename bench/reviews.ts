import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { gzipSync } from 'node:zlib'
import { payloadOf } from '@pebblestrand/core/artefacts'
import { drawn, kindOf } from '@pebblestrand/core/kinds'
import { reviewItem } from '@pebblestrand/core/items'
import { Outbound } from '../packages/server/src/platform/outbound/client'
import { readPlace } from '../packages/server/src/sources/review-service/read-place'
import { crowdOf } from '../packages/standins/src/voices/crowd'
import { places } from '../packages/standins/src/voices/places'
import { median, type Ratio } from './stand'

const ROUNDS = 7
const PAGE = 100
const railway = places.find(({ slug }) => slug === 'skerrow-light-railway')!
const crowd = crowdOf({ ...railway, voices: [] })

/** Reading all of a place with 4,000 reviews, against only fetching its pages. */
export async function placeOf4000(): Promise<Ratio> {
  const at = '2026-01-01T00:00:00.000Z'
  const written = crowd.map(({ author, stars, text, language }, i) => ({
    id: String(i),
    author: { name: author },
    stars: stars || null,
    text,
    language,
    created: at,
    changed: at,
    pictures: [],
    reply: null,
  }))
  const service = createServer((request, response) => {
    const { pathname, searchParams } = new URL(request.url!, 'http://x')
    const after = Number(searchParams.get('after'))
    const next = after + PAGE < written.length ? after + PAGE : null
    response.setHeader('content-type', 'application/json')
    response.end(
      JSON.stringify(
        pathname.endsWith('/reviews')
          ? { reviews: written.slice(after, after + PAGE), total: written.length, given: written.length, next }
          : { id: railway.id, name: railway.name, address: null, page: '/p', rating: 4.3, count: written.length },
      ),
    )
  })
  await new Promise<void>((resolve) => service.listen(0, '127.0.0.1', resolve))
  const origin = `http://bench.localhost:${(service.address() as AddressInfo).port}`
  const outbound = new Outbound({ localhostNames: true })
  const context = { outbound, config: { services: { reviews: origin } } } as never
  const url = `http://harbour-voices.localhost/map?place=${railway.id}`
  const timed = async (work: () => Promise<unknown>) => {
    const began = performance.now()
    await work()
    return performance.now() - began
  }
  const reading: number[] = []
  const fetching: number[] = []
  for (let round = 0; round < ROUNDS; round++) {
    reading.push(await timed(() => readPlace(context, { url })))
    fetching.push(
      await timed(async () => {
        for (let after = 0; after < written.length; after += PAGE)
          await outbound.get(`${origin}/api/places/x/reviews?after=${after}`)
      }),
    )
  }
  await outbound.close()
  service.close()
  return {
    name: 'reading a place with 4,000 reviews',
    measured: `${Math.round(median(reading))} ms`,
    against: `only fetching its pages: ${Math.round(median(fetching))} ms`,
    ratio: median(reading) / median(fetching),
    wants: null,
  }
}

/** What visitors are sent for 200 reviews, against the words of these alone; both as they travel, compressed. */
export function payloadOf200(): Ratio {
  const kind = kindOf('reviews')!
  const items = crowd
    .filter(({ text }) => text)
    .slice(0, 200)
    .map(({ author, stars, text, language }, i) =>
      reviewItem(`s:${i}`, { author, rating: stars, text, language, publishedAt: '2026-11-01T00:00:00.000Z' }),
    )
  const settings = kind.settings.parse({ count: 200, letters: 0, layout: 'grid' })
  const context = { widgetName: 'Said', sources: {}, facts: {} }
  const payload = JSON.stringify(payloadOf(drawn(kind, { settings, items, context }), { release: 1, name: 'Said' }))
  const words = items.map(({ author, body }) => `${author}\n${body.text}`).join('\n')
  const [whole, bare] = [gzipSync(payload).length, gzipSync(words).length]
  return {
    name: 'payload of 200 reviews, compressed',
    measured: `${(whole / 1024).toFixed(1)} kB (${Math.round(payload.length / 1024)} kB unpacked)`,
    against: `their words alone: ${(bare / 1024).toFixed(1)} kB`,
    ratio: whole / bare,
    wants: { most: 3 },
  }
}
