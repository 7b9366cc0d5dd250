import { articleItem, reviewItem, type Item } from '@pebblestrand/core/items'
import { kindOf, type Settings, type View } from '@pebblestrand/core/kinds'
import { fit } from '@pebblestrand/core/layout'
import type { Page } from '@playwright/test'
import { expect, test } from './pages/signed-in'

// The browser itself: cell widths and heights of the same widget in Chromium, beside what the core works out.

const words =
  'After eleven months of work the second ramp at the pier takes its first cars on Thursday, which should save nine minutes a crossing.'
const items = Array.from({ length: 12 }, (_, n) =>
  articleItem(`s:${n}`, {
    title: [
      'Second ramp opens at the pier',
      'Winter timetable: the early boat stays',
      'Seal',
      'Dredging begins in the outer basin on Monday',
    ][n % 4]!,
    text: words.slice(0, 40 + ((n * 23) % 90)),
    author: 'Isla Marrow',
    publishedAt: '2026-11-20T10:00:00.000Z',
    link: 'https://post.example/',
    picture: n % 3 === 2 ? null : { url: 'https://post.example/p.png', width: 640, height: 360, alt: '' },
  }),
)
const headlines = kindOf('headlines')!
const viewOf = (settings: Settings): View<Settings> => {
  const whole = headlines.settings.parse({ title: 'own', titleText: 'From the harbour', ...settings })
  const shown = items.slice(0, whole.count as number)
  return { settings: whole, items: shown, context: { widgetName: 'W', sources: {}, facts: {} } }
}

const counter = kindOf('visit-counter')!
const countOf = (settings: Settings): View<Settings> => ({
  settings: counter.settings.parse(settings),
  items: [],
  context: { widgetName: 'W', sources: {}, facts: counter.sample('').facts },
})

async function draw(page: Page, { kind, view }: { kind: typeof headlines; view: View<Settings> }, width: number) {
  const { html, css } = kind.render(view)
  await page.setContent(
    `<body style="margin:0;font:16px/1.5 'Liberation Sans',sans-serif"><div id="host" style="width:${width}px"></div></body>`,
  )
  return page.evaluate(
    ([h, c]) => {
      const host = document.querySelector('#host')!
      const root = host.attachShadow({ mode: 'open' })
      root.innerHTML = `<style>${c}</style>${h}`
      return {
        cells: [...root.querySelectorAll('.c')].map((cell) => cell.getBoundingClientRect().width),
        height: host.getBoundingClientRect().height,
        scrolls: document.documentElement.scrollWidth > document.documentElement.clientWidth,
      }
    },
    [html, css] as const,
  )
}

test('computed cell widths agree with the core at every width', async ({ page }) => {
  for (const settings of [
    { layout: 'grid', columns: 3, gap: 16, picture: 'top', count: 6 },
    { layout: 'grid', columns: 4, gap: 24, picture: 'left', count: 8, background: '#ffffff' },
    { layout: 'grid', columns: 6, gap: 0, picture: 'none', count: 12 },
    { layout: 'list', gap: 20, picture: 'left', count: 4, background: '#eeeeee' },
  ]) {
    const view = viewOf(settings)
    const spec = headlines.box!.fit(headlines.settings.parse(settings))
    for (const width of [160, 246, 300, 358, 482, 483, 720, 768, 1040, 1280]) {
      const { cells, scrolls } = await draw(page, { kind: headlines, view }, width)
      const expected = fit(width, spec)
      for (const cell of cells)
        expect(Math.abs(cell - expected.cell), `${JSON.stringify(settings)} in ${width} px`).toBeLessThan(0.6)
      expect(scrolls && width <= 1280).toBe(false)
    }
  }
})

test('the reserved height is near the real one', async ({ page }) => {
  const misses: number[] = []
  for (const settings of [
    { count: 4, picture: 'none', excerpt: 0 },
    { count: 5, picture: 'left', excerpt: 100 },
    { layout: 'grid', columns: 3, count: 6, picture: 'top', excerpt: 120 },
    { count: 3, picture: 'top', excerpt: 200, author: true },
  ]) {
    for (const width of [260, 300, 358, 700, 1040]) {
      const view = viewOf(settings)
      const { height } = await draw(page, { kind: headlines, view }, width)
      misses.push(headlines.box!.height(view, width) / height - 1)
    }
  }
  const mean = misses.reduce((sum, m) => sum + Math.abs(m), 0) / misses.length
  expect(mean).toBeLessThan(0.08)
  expect(Math.max(...misses.map(Math.abs))).toBeLessThan(0.2)
})

test('a counter is as high as was reserved for it, and nothing of it leaves its place', async ({ page }) => {
  const misses: [string, number][] = []
  for (const settings of [
    { style: 'line', title: '' },
    { style: 'line', last7: true, week: true, month: true, year: true, title: 'Who was here' },
    { style: 'table', month: true, year: true, background: '#ffffff' },
    { style: 'digits', digits: 6, title: 'Visitors since the practice opened' },
    { style: 'digits', digits: 4, week: true, year: true, background: '#eeeeee' },
  ]) {
    for (const width of [160, 246, 300, 358, 720]) {
      const view = countOf(settings)
      const { height, scrolls } = await draw(page, { kind: counter, view }, width)
      expect(scrolls, `${JSON.stringify(settings)} in ${width} px`).toBe(false)
      misses.push([`${JSON.stringify(settings)} in ${width} px`, counter.box!.height(view, width) / height - 1])
    }
  }
  expect(misses.reduce((sum, [, miss]) => sum + Math.abs(miss), 0) / misses.length).toBeLessThan(0.08)
  expect(misses.filter(([, miss]) => Math.abs(miss) > 0.25)).toEqual([])
})

const reviews = kindOf('reviews')!
const said = Array.from({ length: 9 }, (_, n) =>
  reviewItem(`r:${n}`, {
    author: ['Petra Lowell', 'A. Fairlie', 'Sunniva Berg'][n % 3]!,
    rating: n % 4 === 3 ? null : 3 + (n % 3),
    text: words.slice(0, 30 + ((n * 37) % 95)),
    publishedAt: '2026-11-20T10:00:00.000Z',
    link: n % 2 ? 'https://voices.example/' : null,
    reply: n % 4 ? null : { author: null, text: words.slice(0, 60), at: null },
  }),
)
test('reviews lie in the cells the core works out, about as high as was reserved', async ({ page }) => {
  const misses: [string, number][] = []
  for (const settings of [
    { layout: 'grid', columns: 3, count: 6, gap: 24, letters: 80 },
    { layout: 'list', count: 4, avatar: 'none', reply: false, summary: false },
    { layout: 'list', count: 3, letters: 0, background: '#ffffff', writeLink: 'https://voices.example/write' },
    { layout: 'grid', columns: 2, count: 4, date: false, title: 'own', titleText: 'What people say of us' },
  ]) {
    const whole = reviews.settings.parse(settings)
    const view = {
      settings: whole,
      items: said.slice(0, whole.count as number),
      context: { widgetName: 'W', sources: {}, facts: {} },
    }
    for (const width of [220, 300, 358, 700, 1040]) {
      const { cells, height, scrolls } = await draw(page, { kind: reviews, view }, width)
      const name = `${JSON.stringify(settings)} in ${width} px`
      const expected = fit(width, reviews.box!.fit(whole))
      for (const cell of cells) expect(Math.abs(cell - expected.cell), name).toBeLessThan(0.6)
      expect(scrolls, name).toBe(false)
      misses.push([name, reviews.box!.height(view, width) / height - 1])
    }
  }
  expect(misses.reduce((sum, [, miss]) => sum + Math.abs(miss), 0) / misses.length).toBeLessThan(0.08)
  expect(misses.filter(([, miss]) => Math.abs(miss) > 0.2)).toEqual([])
})

const badge = kindOf('rating-badge')!
const badgeView = (settings: Settings): View<Settings> => ({
  settings: badge.settings.parse(settings),
  items: said,
  context: { widgetName: 'W', sources: {}, facts: {} },
})
test('a badge is about as high as was reserved, and works from 90 px on', async ({ page }) => {
  const misses: [string, number][] = []
  for (const settings of [
    {},
    { shape: 'line', label: 'Guests say' },
    { shape: 'tile', label: 'Guests say' },
    { shape: 'stone' },
  ]) {
    const view = badgeView(settings)
    for (const width of [90, 160, 300, 700]) {
      const { height, scrolls } = await draw(page, { kind: badge, view }, width)
      const name = `${JSON.stringify(settings)} in ${width} px`
      expect(scrolls, name).toBe(false)
      misses.push([name, badge.box!.height(view, width) - height])
    }
  }
  // Px: of something a line or two high a share says little.
  expect(misses.filter(([, miss]) => Math.abs(miss) > 24)).toEqual([])
})

test('where the page asks a widget how wide it would like to be, none is without a width, and none leaves its place', async ({
  page,
}) => {
  const asking = {
    'a row': 'display:flex;align-items:center;width:700px',
    'a narrow row': 'display:flex;width:220px',
    'a float': 'float:left;max-width:100%',
    'a column whose parts stand at the left': 'display:flex;flex-direction:column;align-items:flex-start;width:180px',
    'a grid by content': 'display:grid;grid-template-columns:auto auto;width:700px',
    'an inline block': 'display:inline-block',
  }
  const widths: string[] = []
  for (const { name, kind, view } of [
    { name: 'headlines', kind: headlines, view: viewOf({ count: 3, picture: 'none' }) },
    { name: 'a counter', kind: counter, view: countOf({ style: 'line' }) },
    { name: 'reviews', kind: reviews, view: { ...badgeView({}), settings: reviews.settings.parse({ count: 3 }) } },
    ...['pill', 'line', 'tile', 'stone'].map((shape) => ({ name: shape, kind: badge, view: badgeView({ shape }) })),
  ])
    for (const [place, style] of Object.entries(asking)) {
      const { html, css } = kind.render(view)
      await page.setContent(
        `<body style="margin:0;font:16px/1.5 'Liberation Sans',sans-serif"><div style="${style}"><b>Skerrow</b><div id="host"></div></div></body>`,
      )
      const [host, inside, room] = await page.evaluate(
        ([h, c]) => {
          const element = document.querySelector('#host')!
          element.attachShadow({ mode: 'open' }).innerHTML = `<style>${c}</style>${h}`
          const box = element.getBoundingClientRect()
          return [box.width, element.shadowRoot!.querySelector('.w')!.scrollWidth, element.parentElement!.clientWidth]
        },
        [html, css] as const,
      )
      if (host < 75 || inside > host + 1 || host > room + 1)
        widths.push(`${name} in ${place}: ${host} px, its inside ${inside}, the place ${room}`)
    }
  expect(widths).toEqual([])
})

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
const RATIO = { square: 1, landscape: 2 / 3 } as const

test('a wall’s boxes are where the core puts them, to a pixel, at twenty widths', async ({ page }) => {
  test.setTimeout(120_000)
  const wrong: string[] = []
  const near = (one: number, other: number, what: string) => {
    if (Math.abs(one - other) > 1) wrong.push(`${what}: ${one.toFixed(1)}, and ${other.toFixed(1)} worked out`)
  }
  for (const settings of [
    { layout: 'masonry', columns: 4, gap: 8, ratio: 'own' },
    { layout: 'masonry', columns: 3, gap: 20, ratio: 'own', caption: 'below', counts: true, background: '#ffffff' },
    { layout: 'masonry', columns: 5, gap: 0, ratio: 'own', columnsPhone: '2', columnsTablet: '3' },
    { layout: 'grid', columns: 4, gap: 12, ratio: 'landscape', caption: 'below', columnsPhone: '2' },
    { layout: 'large-first', columns: 4, gap: 8, ratio: 'square' },
  ] as const) {
    const whole = wall.settings.parse({ count: 20, title: 'none', ...settings })
    const view = { settings: whole, items: posts, context: { widgetName: 'W', sources: {}, facts: {} } }
    const { html, css } = wall.render(view)
    const spec = wall.box!.fit(whole)
    await page.setContent(
      `<body style="margin:0;font:16px/1.5 'Liberation Sans',sans-serif"><div id="host"></div></body>`,
    )
    await page.evaluate(
      ([h, c]) =>
        (document.querySelector('#host')!.attachShadow({ mode: 'open' }).innerHTML = `<style>${c}</style>${h}`),
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
      const { columns, cell } = fit(width, spec)
      const name = `${JSON.stringify(settings)} in ${width} px`
      near(Math.ceil(height - 0.1), wall.box!.height(view, width), `${name}, the whole`)
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
      } else if (!large && settings.layout === 'grid') {
        const [first] = cells
        expect(first!.height, name).toBeGreaterThanOrEqual(cell * RATIO[settings.ratio] - 1)
      }
    }
  }
  expect(wrong).toEqual([])
})
