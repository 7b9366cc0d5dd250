import { parse } from 'parse5'
import type { Item } from '@pebblestrand/core/items'
import { sift, type Rule } from '@pebblestrand/core/sieve'
import { Plan, verify, type Fetched } from '@pebblestrand/core/verify'
import { snippetText } from '@pebblestrand/core/snippet'
import { timeOf, type Ratio } from './stand'

const now = new Date('2026-11-24T12:00:00Z')
const vocabulary =
  'pier ferry rope harbour kiln orchard gull choir lantern tide cider museum vet bicycle dome star winter slipway basin net'.split(
    ' ',
  )
const words = (n: number, seed: number) =>
  Array.from({ length: n }, (_, i) => vocabulary[(seed * 31 + i * i * 7) % vocabulary.length]).join(' ')

/** 10,000 items through a full sieve, against putting the same items in order alone. */
export function sieve(): Ratio {
  const items: Item[] = Array.from({ length: 10_000 }, (_, i) => ({
    id: `i${i}`,
    title: words(8, i),
    text: words(40, i + 3),
    html: '',
    author: null,
    publishedAt: new Date(now.getTime() - ((i * 7919) % 10_000) * 60_000).toISOString(),
    link: `https://post.example/${i}`,
    picture: i % 3 ? { url: 'https://post.example/p.jpg', width: null, height: null, alt: '' } : null,
    labels: [],
  }))
  const rules: Rule[] = [
    { kind: 'unique' },
    { kind: 'with-picture' },
    { kind: 'include', words: ['ferry', 'rope', 'sail*'] },
    { kind: 'exclude', words: ['slipway'] },
    { kind: 'not-older', days: 30 },
    { kind: 'cap', most: 20 },
  ]
  const whole = timeOf(() => sift(items, rules, 'newest', now))
  const sorting = timeOf(() =>
    [...items].sort((a, b) => (a.publishedAt! < b.publishedAt! ? 1 : a.publishedAt! > b.publishedAt! ? -1 : 0)),
  )
  return {
    name: 'sieve of 10,000 items, six rules',
    measured: `${whole.toFixed(1)} ms`,
    against: `sorting them alone: ${sorting.toFixed(1)} ms`,
    ratio: whole / sorting,
    wants: null,
  }
}

/** Checks of a saved page of ordinary size, against parsing it alone. */
export function checks(): Ratio {
  const snippet = snippetText({
    method: 'inline',
    origin: 'https://strand.example',
    publicId: 'pk7h2-mq9xv',
    name: 'Harbour news',
    agency: 'T & T',
    width: 300,
    height: 400,
  })
  const paragraphs = Array.from(
    { length: 300 },
    (_, i) =>
      `<div class="row r${i}"><h2>${words(5, i)}</h2><p>${words(60, i)} <a href="/p/${i}">more</a></p><img src="/i/${i}.jpg" alt=""></div>`,
  ).join('\n')
  const html = `<!DOCTYPE html><html><head><title>T</title></head><body><header>${words(30, 1)}</header><main>${paragraphs}</main><aside>${snippet}</aside><footer>x</footer></body></html>`
  const plan = Plan.parse({
    install: 'pk7h2-mq9xv',
    origin: 'https://strand.example',
    placement: { region: 'sidebar', width: 300 },
  })
  const served: Fetched = {
    url: 'https://a.example/',
    finalUrl: 'https://a.example/',
    status: 200,
    headers: {},
    html,
    at: now.toISOString(),
    ms: 0,
    error: null,
  }
  const checking = timeOf(() => verify(plan, { served, fresh: null }), 25)
  const parsing = timeOf(() => parse(html, { sourceCodeLocationInfo: true }), 25)
  const rate = (ms: number) => `${Math.round(1000 / ms)} pages/s`
  return {
    name: `checks of a saved page of ${Math.round(html.length / 1024)} kB`,
    measured: rate(checking),
    against: `parsing alone: ${rate(parsing)}`,
    ratio: parsing / checking,
    wants: null,
  }
}
