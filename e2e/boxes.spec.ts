import { articleItem, type Item } from '@pebblestrand/core/items'
import { drawn, drawnHeight, kindOf, type Settings } from '@pebblestrand/core/kinds'
import { fit } from '@pebblestrand/core/layout'
import type { Page } from '@playwright/test'
import { expect, test } from './pages/signed-in'

// The browser itself: where each box of a widget stands in Chromium, beside where the core puts it.

const words =
  'After eleven months of work the second ramp at the pier takes its first cars on Thursday, which should save nine minutes a crossing.'
const wall = kindOf('photo-wall')!
const shapes = [
  [1080, 1080],
  [1080, 1350],
  [1080, 720],
  [640, 960],
] as const
const posts = Array.from({ length: 17 }, (_, n): Item => {
  const [width, height] = shapes[(n * 3) % shapes.length]!
  return {
    ...articleItem(`p:${n}`, { author: 'Orrin Kiln', link: 'https://frames.example/' }),
    body: {
      type: 'post',
      title: '',
      text: words.slice(0, 12 + ((n * 29) % 100)),
      // Nothing is fetched: a picture that does not come keeps its room all the same.
      pictures: [{ url: 'https://frames.example/none.jpg', width, height, alt: 'x' }],
      isClip: false,
      likes: 10 + n,
      comments: n,
    },
  }
})
const WIDTHS = [160, 200, 246, 300, 332, 358, 390, 440, 479, 480, 520, 600, 640, 720, 768, 799, 800, 960, 1040, 1280]

interface Laid {
  kind: typeof wall
  items: Item[]
  settings: Settings
}

/** What of a widget's boxes is not where the core puts it, to a pixel, at twenty widths. */
async function misplaced(page: Page, { kind, items: shown, settings }: Laid): Promise<string[]> {
  const wrong: string[] = []
  const near = (one: number, other: number, what: string) => {
    if (Math.abs(one - other) > 1) wrong.push(`${what}: ${one.toFixed(1)}, and ${other.toFixed(1)} worked out`)
  }
  const whole = kind.settings.parse({ count: 20, title: 'none', ...settings })
  const view = { settings: whole, items: shown, context: { widgetName: 'W', sources: {}, facts: {} } }
  const { html, css } = drawn(kind, view)
  const spec = kind.box!.fit(whole)
  await page.setContent(
    `<body style="margin:0;font:16px/1.5 'Liberation Sans',sans-serif"><div id="host"></div></body>`,
  )
  await page.evaluate(
    ([h, c]) => (document.querySelector('#host')!.attachShadow({ mode: 'open' }).innerHTML = `<style>${c}</style>${h}`),
    [html, css] as const,
  )
  for (const width of WIDTHS) {
    const { cells, height } = await page.evaluate((px) => {
      const host = document.querySelector<HTMLElement>('#host')!
      host.style.width = `${px}px`
      const top = host.shadowRoot!.querySelector('.l')!.getBoundingClientRect()
      return {
        height: host.getBoundingClientRect().height,
        cells: [...host.shadowRoot!.querySelectorAll('.c')].map((cell) => {
          const box = cell.getBoundingClientRect()
          return { x: box.x - top.x, y: box.y - top.y, width: box.width, height: box.height }
        }),
      }
    }, width)
    const { columns, cell, verdict } = fit(width, spec)
    // Covers of a given width yield there; a person is told that it does not fit.
    if (verdict === 'too-narrow' && settings.coverWidth) continue
    const name = `${JSON.stringify(settings)} in ${width} px`
    near(Math.ceil(height - 0.1), drawnHeight(kind, view, width), `${name}, the whole`)
    const large = settings.layout === 'large-first' && columns > 1
    cells.forEach((box, at) => {
      near(box.width, large && at === 0 ? 2 * cell + spec.gap : cell, `${name}, width of cell ${at + 1}`)
    })
    if (settings.layout === 'masonry') {
      const bottoms = new Map<number, number>()
      cells.forEach((box, at) => {
        const column = Math.round(box.x / (cell + spec.gap))
        near(box.x, column * (cell + spec.gap), `${name}, left of cell ${at + 1}`)
        near(box.y, bottoms.get(column) ?? 0, `${name}, top of cell ${at + 1}`)
        bottoms.set(column, box.y + box.height + spec.gap)
      })
    } else if (settings.layout === 'grid' && settings.ratio === 'landscape') {
      expect(cells[0]!.height, name).toBeGreaterThanOrEqual((cell * 2) / 3 - 1)
    }
  }
  return wrong
}

test('a wall’s boxes are where the core puts them, to a pixel, at twenty widths', async ({ page }) => {
  for (const settings of [
    { layout: 'masonry', columns: 4, gap: 8, ratio: 'own' },
    { layout: 'masonry', columns: 3, gap: 20, ratio: 'own', caption: 'below', counts: true, background: '#ffffff' },
    { layout: 'masonry', columns: 5, gap: 0, ratio: 'own', columnsPhone: '2', columnsTablet: '3' },
    { layout: 'grid', columns: 4, gap: 12, ratio: 'landscape', caption: 'below', columnsPhone: '2' },
    { layout: 'large-first', columns: 4, gap: 8, ratio: 'square' },
  ])
    expect(await misplaced(page, { kind: wall, items: posts, settings })).toEqual([])
})

const picked = Array.from({ length: 12 }, (_, n): Item => {
  const [width, height] = shapes[n % shapes.length]!
  const picture = { url: 'https://almanac.example/none.jpg', width, height, alt: '' }
  return {
    id: `k:${n}`,
    author: null,
    publishedAt: '2026-11-20T10:00:00.000Z',
    link: n % 3 ? `https://almanac.example/${n}` : null,
    language: 'en',
    labels: [],
    body: {
      type: 'pick',
      title: words.slice(0, 10 + ((n * 31) % 70)),
      text: n % 4 ? words.slice(0, 20 + ((n * 37) % 120)) : '',
      site: n % 5 ? 'Harbour Almanac' : '',
      picture: n % 6 ? picture : null,
    },
  }
})
test('picks’ boxes are where the core puts them, to a pixel, at twenty widths', async ({ page }) => {
  const kind = kindOf('picks')!
  for (const settings of [
    { layout: 'grid', columns: 3, gap: 20 },
    { layout: 'masonry', columns: 4, gap: 12, ratio: 'own', noteLines: 5 },
    { layout: 'masonry', columns: 3, gap: 16, words: 'card', ratio: 'own' },
    { layout: 'large-first', columns: 4, gap: 8, words: 'none', ratio: 'square' },
    { layout: 'large-first', columns: 3, gap: 8, words: 'card', ratio: 'landscape' },
    { layout: 'list', words: 'beside', coverWidth: 100, ratio: 'square', background: '#ffffff' },
    { layout: 'grid', columns: 4, coverWidth: 120, ratio: 'portrait', site: false, date: true },
    { layout: 'list', cover: 'off', noteLines: 0 },
  ])
    expect(await misplaced(page, { kind, items: picked, settings })).toEqual([])
})
