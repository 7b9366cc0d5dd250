import { readdirSync, readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'

const fixtures = new URL('../packages/core/src/sources/feed/fixtures/', import.meta.url)

/** Manuals of packages that happen to be installed: pages and texts nobody here wrote. */
function manuals(): string[] {
  const resolve = createRequire(import.meta.url).resolve
  return ['cheerio', 'zod', 'undici', 'fastify'].flatMap((name) => {
    try {
      const folder = join(dirname(resolve(`${name}/package.json`)))
      const file = readdirSync(folder).find((one) => /^readme/i.test(one))
      return file ? [readFileSync(join(folder, file), 'utf8').slice(0, 20_000)] : []
    } catch {
      return []
    }
  })
}

const page = `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Ferries</title>
<link rel="alternate" type="application/rss+xml" title="News" href="/feed.xml"><base href="/"></head><body class="home">
<header id="masthead"><nav><a href="/">Home</a></nav></header><main><h1>Times</h1><p>Words &amp; more</p>
<div data-pebblestrand="abcd-efgh" style="min-height:200px"><a href="https://s.example/v/abcd-efgh">News</a></div>
<script async src="https://s.example/strand.js"></script></main><aside class="side"><template><p>x</p></template>
<iframe src="https://s.example/f/abcd-efgh" title="News" width="300" height="200"></iframe></aside>
<noscript><p>no</p></noscript><footer><form><input type="password"></form></footer></body></html>`

/** Reviews in all three ways, and a site map. */
const marked = `<!doctype html><script type="application/ld+json">{"@context":"https://schema.org","@graph":[{"@type":"LocalBusiness","name":"Kiln",
"aggregateRating":{"@type":"AggregateRating","ratingValue":"4,6","reviewCount":12},"review":[{"@type":"Review","author":{"name":"Ada"},"reviewBody":"Warm","reviewRating":{"ratingValue":9,"bestRating":10}}]}]}</script>
<div itemscope itemtype="https://schema.org/Product" itemref="more"><b itemprop="name">Cup</b><div itemprop="review" itemscope itemtype="https://schema.org/Review"><time itemprop="datePublished" datetime="2026-01-02">then</time><p itemprop="reviewBody">Good</p></div></div>
<p id="more" vocab="https://schema.org/" typeof="Review"><span property="author">Bea</span> <span property="reviewRating" typeof="Rating"><i property="ratingValue">3</i></span></p>`
const map = `<?xml version="1.0"?><urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9"><url><loc>https://a.example/x?a=1&amp;b=2</loc></url></urlset>
User-agent: *
Disallow: /x
Sitemap: https://a.example/map.xml`

/** Published ways past sanitisers: OWASP's XSS filter evasion cheat sheet. */
const vectors = [
  '<SCRIPT SRC=https://a.example/x.js></SCRIPT>',
  '<IMG SRC="javascript:alert(1);">',
  '<IMG """><SCRIPT>alert(1)</SCRIPT>"\\>',
  '<IMG SRC=# onmouseover="alert(1)">',
  '<IMG SRC="jav&#x09;ascript:alert(1);">',
  '<svg/onload=alert(1)>',
  '<BODY ONLOAD=alert(1)>',
  '<a href="javas\tcript:alert(1)">x</a>',
  '<math><mtext><table><mglyph><style><img src=x onerror=alert(1)>',
]

export const seeds = (): string[] => [
  ...readdirSync(fixtures).map((name) => readFileSync(new URL(name, fixtures), 'utf8')),
  ...manuals(),
  page,
  marked,
  map,
  vectors.join('\n'),
  '{"name":"Harbour","settings":{"sources":["a"],"list":[{"a":{"b":[1,2,3]}}]}}',
  'Zilla Slab, "Source Sans 3", sans-serif',
  'main > .side:nth-child(2n+1) ~ p[title^="x" i], #a .b',
  'tidal mill, engrav*, gullhaven ferries',
]
