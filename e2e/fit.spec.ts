import { articleItem, reviewItem, type Item } from '@pebblestrand/core/items'
import { drawn, drawnHeight, kindOf, type Settings, type View } from '@pebblestrand/core/kinds'
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
  const { html, css } = drawn(kind, view)
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
      misses.push(drawnHeight(headlines, view, width) / height - 1)
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
      misses.push([`${JSON.stringify(settings)} in ${width} px`, drawnHeight(counter, view, width) / height - 1])
    }
  }
  expect(misses.reduce((sum, [, miss]) => sum + Math.abs(miss), 0) / misses.length).toBeLessThan(0.08)
  expect(misses.filter(([, miss]) => Math.abs(miss) > 0.25)).toEqual([])
})

test('opening hours take no more room than was reserved, and little less', async ({ page }) => {
  const kind = kindOf('opening-hours')!
  const special = [
    { from: '2026-12-24', until: '2026-12-26', name: 'Christmas', spans: [] },
    { from: '2027-01-01', until: '', name: '', spans: [] },
  ]
  const split = [
    { opens: '09:00', closes: '12:30' },
    { opens: '13:30', closes: '18:00' },
  ]
  const week = [split, split, split, split, split, [{ opens: '10:00', closes: '14:00' }], []]
  const misses: [string, number][] = []
  for (const settings of [
    { style: 'table', week, special },
    { style: 'table', week, joined: false, state: false, title: 'When to find us' },
    { style: 'table', special, background: '#ffffff', locale: 'de-DE' },
    { style: 'line', title: 'Open now' },
    { style: 'badge', borderWidth: 1 },
  ]) {
    for (const width of [180, 246, 300, 358, 720]) {
      const whole = kind.settings.parse(settings)
      const view = { settings: whole, items: [], context: { widgetName: 'W', sources: {}, facts: {} } }
      const { height, scrolls } = await draw(page, { kind, view }, width)
      expect(scrolls, `${JSON.stringify(settings)} in ${width} px`).toBe(false)
      // Narrower than its fit asks for: nothing leaves its place, and room is guessed.
      if (width < 200) continue
      misses.push([
        `${settings.style}, ${JSON.stringify(settings).length} letters, in ${width} px`,
        drawnHeight(kind, view, width) - height,
      ])
    }
  }
  // What is said of now has room for its longest words: two lines more than the shortest in a narrow place.
  expect(misses.filter(([, miss]) => miss < -2 || miss > 66)).toEqual([])
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
      misses.push([name, drawnHeight(reviews, view, width) / height - 1])
    }
  }
  expect(misses.reduce((sum, [, miss]) => sum + Math.abs(miss), 0) / misses.length).toBeLessThan(0.08)
  expect(misses.filter(([, miss]) => Math.abs(miss) > 0.2)).toEqual([])
})

test('a large first review keeps its parts together, however high the rows beside it are', async ({ page }) => {
  const settings = reviews.settings.parse({ layout: 'large-first', columns: 3, count: 6, letters: 80 })
  const view = { settings, items: said.slice(0, 6), context: { widgetName: 'W', sources: {}, facts: {} } }
  await draw(page, { kind: reviews, view }, 1040)
  const heights = await page.evaluate(() =>
    [...document.querySelector('#host')!.shadowRoot!.querySelectorAll('.l>.c .s, .l>.c [role=img]')].map(
      (stars) => stars.parentElement!.getBoundingClientRect().height,
    ),
  )
  expect(heights.length).toBeGreaterThan(3)
  for (const height of heights) expect(height).toBeCloseTo(heights.at(-1)!, 0)
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
      misses.push([name, drawnHeight(badge, view, width) - height])
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
      const { html, css } = drawn(kind, view)
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

const newest = Array.from({ length: 6 }, (_, n): Item => ({
  ...articleItem(`p:${n}`, { author: 'Orrin Kiln', link: 'https://frames.example/' }),
  body: {
    type: 'post',
    title: '',
    text: words.slice(0, 40),
    pictures: [{ url: 'https://frames.example/none.jpg', width: 1080, height: 1080, alt: 'x' }],
    isClip: false,
    likes: null,
    comments: null,
  },
}))
test('a profile card stands from 120 px to 600 px, about as high as was reserved', async ({ page }) => {
  const card = kindOf('profile-card')!
  const id = '0b0f2a57-2f7e-4f5e-9a51-0f8d6a3f1c11'
  const source = {
    title: 'Orrin Kiln Pottery',
    link: 'https://frames.example/@orrin',
    picture: { url: 'https://frames.example/none.jpg', width: 200, height: 200, alt: '' },
    profile: { handle: 'orrin.kiln', bio: words.slice(0, 90), counts: { posts: 44, followers: 9830, following: 212 } },
  }
  const misses: [string, number][] = []
  for (const settings of [{}, { arranged: 'line', count: 0, faceSize: 64 }, { count: 6, bio: false, columns: 3 }]) {
    const whole = card.settings.parse({ sources: [id], ...settings })
    const view = {
      settings: whole,
      items: newest.slice(0, whole.count as number),
      context: { widgetName: 'W', sources: { [id]: source }, facts: {} },
    }
    for (const width of [120, 160, 200, 260, 320, 400, 500, 600]) {
      const { cells, height, scrolls } = await draw(page, { kind: card, view }, width)
      const name = `${JSON.stringify(settings)} in ${width} px`
      expect(scrolls, name).toBe(false)
      for (const cell of cells) expect(Math.abs(cell - fit(width, card.box!.fit(whole)).cell), name).toBeLessThan(0.6)
      misses.push([name, drawnHeight(card, view, width) / height - 1])
    }
  }
  expect(misses.reduce((sum, [, miss]) => sum + Math.abs(miss), 0) / misses.length).toBeLessThan(0.08)
  expect(misses.filter(([, miss]) => Math.abs(miss) > 0.2)).toEqual([])
})
