import { describe, expect, it } from 'vitest'
import { readPageFacts } from './page-facts'

const at = 'https://ferries.example/news/ramp?from=mail'
const read = (html: string, where = at) => readPageFacts(html, where)

describe('what a page says of itself', () => {
  // The Open Graph protocol's own example, its film and its addresses replaced; the properties as there.
  it('is read from what it marks up for being shared', () => {
    expect(
      read(`<html prefix="og: https://ogp.me/ns#" lang="en-GB"><head><title>The Ramp (2026)</title>
<meta property="og:title" content="The Ramp" /><meta property="og:type" content="video.movie" />
<meta property="og:url" content="https://elsewhere.example/x" />
<meta property="og:image" content="/media/ramp.jpg" />
<meta property="og:image:width" content="400" /><meta property="og:image:height" content="300" />
<meta property="og:image:alt" content="A shiny new ramp" />
<meta property="og:image" content="https://cdn.example/second.jpg" /><meta property="og:image:height" content="1000" />
<meta property="og:description" content="Nine minutes  saved a crossing." /><meta property="og:site_name" content="Gullhaven Ferries" />
<meta property="article:published_time" content="2026-11-20T11:00:00+01:00"></head><body></body></html>`),
    ).toEqual({
      link: at,
      title: 'The Ramp',
      description: 'Nine minutes saved a crossing.',
      site: 'Gullhaven Ferries',
      language: 'en-GB',
      publishedAt: '2026-11-20T10:00:00.000Z',
      pictures: [
        { url: 'https://ferries.example/media/ramp.jpg', width: 400, height: 300, alt: 'A shiny new ramp' },
        { url: 'https://cdn.example/second.jpg', width: null, height: 1000, alt: '' },
      ],
    })
  })
  it('else from its title without the site’s name, its description, and what stands on it', () => {
    const facts = read(
      `<title>Second ramp opens · Gullhaven Ferries</title><meta name="application-name" content="Gullhaven Ferries">
<link rel="canonical" href="/news/ramp"><body><img src="logo.png" width="60" height="60"><main><h1>Second ramp</h1>
<p>Short.</p><p>After eleven months of work the second ramp at the pier takes its first cars.</p>
<img src="pixel.gif" width="1" height="1"><img data-src="big.jpg" src="data:image/gif;base64,R0" alt=" The ramp "><img src="drawn.svg"></main>`,
    )
    expect(facts).toMatchObject({
      link: 'https://ferries.example/news/ramp',
      title: 'Second ramp opens',
      description: 'After eleven months of work the second ramp at the pier takes its first cars.',
      pictures: [{ url: 'https://ferries.example/news/big.jpg', width: null, height: null, alt: 'The ramp' }],
    })
  })
  it.each([
    ['Ramp | Gullhaven', 'Gullhaven', 'Ramp'],
    ['Gullhaven - Ramp', 'Gullhaven', 'Ramp'],
    ['Ferries - a history - Gullhaven', 'Gullhaven', 'Ferries - a history'],
    ['Ferry-boats', 'Gullhaven', 'Ferry-boats'],
    ['A – B', 'Gullhaven', 'A – B'],
  ])('the title %j of the site %j is %j', (title, site, shown) =>
    expect(read(`<title>${title}</title><meta property="og:site_name" content="${site}">`).title).toBe(shown),
  )
  it('a heading stands for a missing title, the host for a missing name', () =>
    expect(read('<h1>Only <b>this</b></h1>', 'https://www.kiln.example/')).toMatchObject({
      title: 'Only this',
      site: 'kiln.example',
    }))
  it('a canonical address of another host is not believed', () =>
    expect(read('<link rel="canonical" href="https://other.example/x">').link).toBe(at))
  it('nothing in it is markup, and no picture is anything but an address', () => {
    const { title, pictures } = read(
      '<title>&lt;script&gt;1&lt;/script&gt;</title><meta property="og:image" content="javascript:alert(1)">',
    )
    expect([title, pictures]).toEqual(['<script>1</script>', []])
  })
  it('an empty page gives empty facts', () =>
    expect(read('')).toMatchObject({ title: '', description: '', language: null, publishedAt: null, pictures: [] }))
})
