import { payloadOf } from '@pebblestrand/core/artefacts'
import { renderWidget, kindList, type Settings } from '@pebblestrand/core/kinds'
import { gather, type Entry } from '@pebblestrand/core/items'
import fc from 'fast-check'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { rendererFor } from './delivery/render-widget'
import { Picture } from './pictures/models'
import { Source } from './sources/models'
import { storeItems } from './sources/store-items'
import { Person, startTestSystem, type TestSystem } from './testing/system'

let system: TestSystem
let ada: Person
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
})
afterAll(() => system.stop())

const words = fc.string({ unit: 'grapheme', maxLength: 20 }).map((text) => text.toWellFormed().replace(/\0/g, ''))
/** Dates are few, so that many are the same or missing: then nothing but the gathered order tells items apart. */
const dates = fc.constantFrom(null, '2026-11-20T10:00:00.000Z', '2026-11-21T10:00:00.000Z', '2026-11-22T10:00:00.000Z')
const entry: fc.Arbitrary<Entry> = fc.record({
  key: fc.string({ minLength: 1, maxLength: 6 }).map((text) => text.toWellFormed().replace(/\0/g, '0') || '0'),
  author: fc.option(words),
  publishedAt: dates,
  link: fc.constantFrom(null, 'https://a.example/1', 'https://a.example/2'),
  language: fc.constantFrom(null, 'en'),
  labels: fc.array(words, { maxLength: 2 }),
  body: fc.record({
    type: fc.constant('article' as const),
    title: words,
    text: words,
    html: fc.constant(''),
    picture: fc.constantFrom(null, { url: 'https://a.example/p.jpg', width: 4, height: 3, alt: '' }),
  }),
})
const feed = fc.uniqueArray(entry, { selector: (one) => one.key, maxLength: 8 })
const settings = fc.record({
  count: fc.integer({ min: 1, max: 20 }),
  order: fc.constantFrom('newest', 'oldest'),
  onlyWithPicture: fc.boolean(),
  picture: fc.constantFrom('none', 'left', 'top'),
  layout: fc.constantFrom('list', 'grid'),
})

/** Entries as a document's reading gives them. */
const windowOn = (entries: Entry[]) => ({
  extent: 'window' as const,
  read: { format: 'rss', title: '', link: null, language: null, cut: {}, entries },
})

// What a person saw on the bench is what visitors get: the same settings and items give the same bytes, with one source or
// two, at the first reading and after a second one that dropped some items and brought others.
it('bench and server render the same bytes', async () => {
  // Until a picture is fetched only the bench shows it, from where it came.
  await Picture.create({
    sourceUrl: 'https://a.example/p.jpg',
    contentHash: 'a'.repeat(32),
    widths: [96, 320],
    problem: null,
  })
  const kind = kindList.headlines!
  await fc.assert(
    fc.asyncProperty(settings, feed, feed, feed, async (chosen, first, later, other) => {
      const sources = await Promise.all(
        ['a', 'b'].map((name) =>
          Source.create({ url: `https://${name}.example/${Math.random()}`, title: `Source ${name}`, format: 'rss' }),
        ),
      )
      try {
        await system.context.db.transaction((t) => storeItems(sources[0]!, windowOn(first), t))
        await system.context.db.transaction((t) => storeItems(sources[0]!, windowOn(later), t))
        await system.context.db.transaction((t) => storeItems(sources[1]!, windowOn(other), t))
        const ids = sources.map((source) => source.id)
        const whole = kind.settings.parse({ ...chosen, sources: ids })
        const onServer = (await rendererFor(
          system.context,
          { kind: 'headlines', name: 'News' },
          { settings: whole, kindVersion: 1 },
        ))!.render({})
        // The bench: entries as its route gives them, gathered and rendered by the code that runs in its worker.
        const stored = await Promise.all(
          ids.map(async (sourceId) => ({
            sourceId,
            entries: ((await ada.get(`/api/sources/${sourceId}/items`)).body as { rows: Entry[] }).rows,
          })),
        )
        const context = {
          widgetName: 'News',
          sources: Object.fromEntries(sources.map((s) => [s.id, { title: s.title, link: s.link ?? null }])),
          facts: {},
        }
        const onBench = renderWidget(kind, whole as Settings, gather(ids, stored), context, new Date())
        const bytes = (rendered: typeof onBench.rendered) =>
          JSON.stringify(payloadOf(rendered, { release: 1, name: 'News' }))
        expect(bytes(onBench.rendered)).toBe(bytes(onServer.rendered))
        expect(onBench.view.items.map((item) => item.id)).toEqual(onServer.view.items.map((item) => item.id))
      } finally {
        await Source.destroy({ where: { id: sources.map((source) => source.id) } })
      }
    }),
    { numRuns: 60 },
  )
})
