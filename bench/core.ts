import { parse } from 'parse5'
import { reviewItem } from '@pebblestrand/core/items'
import { sift, type Rule } from '@pebblestrand/core/sieve'
import { methods } from '@pebblestrand/core/methods'
import { Plan, verify, verifyPage, type Look } from '@pebblestrand/core/verify'
import { compared, type Ratio } from './stand'

const now = new Date('2026-11-24T12:00:00Z')
const vocabulary =
  'pier ferry rope harbour kiln orchard gull choir lantern tide cider museum vet bicycle dome star winter slipway basin net'.split(
    ' ',
  )
const words = (n: number, seed: number) =>
  Array.from({ length: n }, (_, i) => vocabulary[(seed * 31 + i * i * 7) % vocabulary.length]).join(' ')

/** 10,000 reviews through a full sieve, as when one of its rules is changed, against putting the same reviews in order alone. */
export function sieve(): Ratio {
  const items = Array.from({ length: 10_000 }, (_, i) =>
    reviewItem(`s:${i}`, {
      author: `Author ${i}`,
      rating: 1 + (i % 5),
      text: words(12 + (i % 40), i + 3),
      language: i % 9 ? 'en' : 'de',
      publishedAt: new Date(now.getTime() - ((i * 7919) % 10_000) * 60_000).toISOString(),
      link: `https://post.example/${i}`,
      pictures: i % 3 ? [{ url: 'https://post.example/p.jpg', width: null, height: null, alt: '' }] : [],
    }),
  )
  const rules: Rule[] = [
    { kind: 'unique' },
    { kind: 'hidden', ids: ['s:1', 's:7'] },
    { kind: 'rating-from', stars: 3, unrated: 'out' },
    { kind: 'with-text' },
    { kind: 'with-picture' },
    { kind: 'authors-out', names: ['Author 12'] },
    { kind: 'language', languages: ['en'] },
    { kind: 'include', words: ['ferry', 'rope', 'sail*'] },
    { kind: 'exclude', words: ['slipway'] },
    { kind: 'not-older', days: 30 },
    { kind: 'cap', most: 20 },
  ]
  const began = performance.now()
  sift(items, rules, 'newest', now)
  const cold = performance.now() - began
  const {
    one: whole,
    other: sorting,
    ratio,
  } = compared(
    () => sift(items, rules, 'newest', now),
    () => [...items].sort((a, b) => (a.publishedAt! < b.publishedAt! ? 1 : a.publishedAt! > b.publishedAt! ? -1 : 0)),
  )
  return {
    name: 'sieve of 10,000 reviews, all its rules',
    measured: `${whole.toFixed(1)} ms`,
    against: `sorting them alone: ${sorting.toFixed(1)} ms; the very first time ${cold.toFixed(1)} ms`,
    ratio,
    wants: { most: 3 },
  }
}

const origin = 'https://strand.example'
const idAt = (i: number) => `pk7h2-mq9xv-abc${String(i).padStart(2, '0')}`
const snippet = (publicId: string) =>
  methods.inline.text({ origin, publicId, name: 'Harbour news', agency: 'T & T', width: 300, height: 400 })

/** A page of ordinary size with so many snippets in its sidebar, and what was planned. */
function pageWith(installs: number) {
  const paragraphs = Array.from(
    { length: 300 },
    (_, i) =>
      `<div class="row r${i}"><h2>${words(5, i)}</h2><p>${words(60, i)} <a href="/p/${i}">more</a></p><img src="/i/${i}.jpg" alt=""></div>`,
  ).join('\n')
  const ids = Array.from({ length: installs }, (_, i) => idAt(i))
  const html = `<!DOCTYPE html><html><head><title>T</title></head><body><header>${words(30, 1)}</header><main>${paragraphs}</main><aside>${ids.map(snippet).join('\n')}</aside><footer>x</footer></body></html>`
  const plans = ids.map((install) => Plan.parse({ install, origin, placement: { region: 'sidebar', width: 300 } }))
  const served: Look = {
    how: 'served',
    url: 'https://a.example/',
    finalUrl: 'https://a.example/',
    status: 200,
    headers: {},
    html,
    at: now.toISOString(),
    ms: 0,
    error: null,
  }
  return { html, plans, looks: [served, { ...served, how: 'fresh' as const }] }
}

const rate = (ms: number) => `${Math.round(1000 / ms)} pages/s`

/** Checks of a saved page of ordinary size, against parsing it alone. */
export function checks(): Ratio {
  const { html, plans, looks } = pageWith(1)
  const {
    one: parsing,
    other: checking,
    ratio,
  } = compared(
    () => parse(html, { sourceCodeLocationInfo: true }),
    () => verify(plans[0]!, looks.slice(0, 1)),
  )
  return {
    name: `checks of a saved page of ${Math.round(html.length / 1024)} kB`,
    measured: rate(checking),
    against: `parsing alone: ${rate(parsing)}`,
    ratio,
    wants: { least: 0.6 },
  }
}

/** Ten installs on a page, judged by the same looks, against one. */
export function tenOnOnePage(): Ratio {
  const [ten, one] = [pageWith(10), pageWith(1)]
  const {
    one: many,
    other: single,
    ratio,
  } = compared(
    () => verifyPage(ten.plans, ten.looks),
    () => verifyPage(one.plans, one.looks),
  )
  return {
    name: 'ten installs on one page checked',
    measured: `${many.toFixed(1)} ms`,
    against: `one: ${single.toFixed(1)} ms`,
    ratio,
    wants: { most: 1.5 },
  }
}
