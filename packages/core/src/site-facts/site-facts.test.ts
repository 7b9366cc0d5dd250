import CachePolicy from 'http-cache-semantics'
import { describe, expect, it } from 'vitest'
import { parsePage } from '../verify/page'
import { cacheMinutes } from './cache'
import { nameFrom, readFirstPage } from './first-page'
import { languageOf } from './language'
import { linkedPages, pagePath, pagesOf, titleFromPath } from './pages'
import { readSiteMap, siteMapsNamed } from './site-map'

const look = (html: string, headers: Record<string, string> = {}, status = 200) => ({
  how: 'served' as const,
  url: 'https://ferries.example/',
  finalUrl: 'https://ferries.example/',
  status,
  headers,
  html,
  at: '2026-11-25T10:00:00Z',
  ms: 1,
  error: null,
})

describe('a site map', () => {
  // The sample of sitemaps.org protocol 0.9, "Sample XML Sitemap".
  it('lists pages', () =>
    expect(
      readSiteMap(`<?xml version="1.0" encoding="UTF-8"?>
<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">
   <url><loc>http://www.example.com/</loc><lastmod>2005-01-01</lastmod><changefreq>monthly</changefreq><priority>0.8</priority></url>
   <url><loc>http://www.example.com/catalog?item=12&amp;desc=vacation_hawaii</loc><changefreq>weekly</changefreq></url>
   <url><loc>http://www.example.com/catalog?item=73&amp;desc=vacation_new_zealand</loc><lastmod>2004-12-23</lastmod></url>
</urlset>`).pages,
    ).toEqual([
      'http://www.example.com/',
      'http://www.example.com/catalog?item=12&desc=vacation_hawaii',
      'http://www.example.com/catalog?item=73&desc=vacation_new_zealand',
    ]))
  // The same, "Sample XML Sitemap Index".
  it('lists further maps', () =>
    expect(
      readSiteMap(`<?xml version="1.0" encoding="UTF-8"?>
<sitemapindex xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">
   <sitemap><loc>http://www.example.com/sitemap1.xml.gz</loc><lastmod>2004-10-01T18:23:17+00:00</lastmod></sitemap>
   <sitemap><loc>http://www.example.com/sitemap2.xml.gz</loc><lastmod>2005-01-01</lastmod></sitemap>
</sitemapindex>`),
    ).toEqual({
      pages: [],
      maps: ['http://www.example.com/sitemap1.xml.gz', 'http://www.example.com/sitemap2.xml.gz'],
    }))
  // The same, "Other Sitemap formats": a text file, one address a line.
  it('may be a text file', () =>
    expect(
      readSiteMap('http://www.example.com/catalog?item=1\r\nhttp://www.example.com/catalog?item=11\n').pages,
    ).toHaveLength(2))
  it('with prefixes, pictures and what is no address lists pages only', () =>
    expect(
      readSiteMap(`<s:urlset xmlns:s="http://www.sitemaps.org/schemas/sitemap/0.9" xmlns:image="i"><s:url><s:loc>
 https://a.example/x </s:loc><image:image><image:loc>https://a.example/x.jpg</image:loc></image:image></s:url><s:url><s:loc>/relative</s:loc></s:url></s:urlset>`)
        .pages,
    ).toEqual(['https://a.example/x']))
  it.each(['', '<html><body>Not found</body></html>', 'hello', '<urlset><url><loc>'])('%s lists nothing', (text) =>
    expect(readSiteMap(text).pages).toEqual([]),
  )
  it('is where robots.txt says, whatever group that stands in', () =>
    expect(
      siteMapsNamed(
        'User-agent: *\nDisallow: /x\nSitemap: https://a.example/one.xml\r\nsitemap:https://a.example/two.xml # new\nSitemap: /no',
      ),
    ).toEqual(['https://a.example/one.xml', 'https://a.example/two.xml']))
})

describe('how long copies are kept', () => {
  const headers = (more: Record<string, string>) => ({ date: 'Wed, 25 Nov 2026 10:00:00 GMT', ...more })
  it.each([
    [{ 'cache-control': 'public, max-age=0, s-maxage=21600', age: '12' }, 360],
    [{ 'cache-control': 'max-age=600' }, 10],
    [{ 'cache-control': 'no-store' }, 0],
    [{ 'cache-control': 'no-cache' }, 0],
    [{ expires: 'Wed, 25 Nov 2026 11:00:00 GMT' }, 60],
    [{ expires: '0' }, 0],
    [{}, 0],
  ])('%j is %d min, as the reference reads it', (more, minutes) => {
    const given: Record<string, string> = headers(more as Record<string, string>)
    expect(cacheMinutes(given, given).value).toBe(minutes)
    // http-cache-semantics as reference for RFC 9111: what a shared cache may serve without asking.
    const request = { method: 'GET', url: '/', headers: {} }
    const policy = new CachePolicy(request, { status: 200, headers: given }, { shared: true, cacheHeuristic: 0 })
    const lifetime = policy.storable() ? (policy.timeToLive() / 1000 + (given.age ? Number(given.age) : 0)) / 60 : 0
    expect(Math.round(lifetime)).toBe(minutes)
  })
  it('a copy that was answered with tells by its age', () =>
    expect(cacheMinutes({}, { age: '540' })).toMatchObject({ value: 9, from: 'the age of the copy it answered with' }))
})

describe('the language of a page', () => {
  const of = (html: string, headers = {}) => languageOf(parsePage(html), headers)?.value ?? null
  it('is what its root says, in its canonical form', () => expect(of('<html lang="pt-br"><p>x')).toBe('pt-BR'))
  it('is what its headers say where its root says nothing', () =>
    expect(of('<p>x', { 'content-language': 'de, en' })).toBe('de'))
  it('is what it gives for sharing', () => expect(of('<meta property="og:locale" content="el_GR"><p>x')).toBe('el-GR'))
  it('is not what is no tag', () => expect(of('<html lang="english (uk)"><p>x')).toBeNull())
})

describe('the name of a site', () => {
  const name = (...pages: string[]) => nameFrom(pages.map((html) => look(html)))?.value
  it('is what it gives for sharing', () =>
    expect(name('<meta property="og:site_name" content="Gullhaven Ferries"><title>Home</title><p>x')).toBe(
      'Gullhaven Ferries',
    ))
  it('is in its structured data', () =>
    expect(
      name(
        '<script type="application/ld+json">{"@graph":[{"@type":"WebPage","name":"Home"},{"@type":["WebSite"],"name":"Kiln"}]}</script><title>a</title><p>x',
      ),
    ).toBe('Kiln'))
  it('is that of whoever publishes what is marked up, also in a comment', () =>
    expect(
      name(
        '<script type="application/ld+json"><!--{"@type":"Article","name":"Pots","publisher":{"@type":"http://schema.org/Organization","name":"Kiln"}}--></script><title>a</title><p>x',
      ),
    ).toBe('Kiln'))
  it('is what its titles share, whichever side it stands on', () => {
    expect(name('<title>Home · Kiln</title><p>x', '<title>Glazes · Kiln</title><p>x')).toBe('Kiln')
    expect(name('<title>Kiln | Home</title><p>x', '<title>Kiln | Glazes</title><p>x')).toBe('Kiln')
    expect(name('<title>Half-hour walks - Kiln</title><p>x', '<title>Glazes - Kiln</title><p>x')).toBe('Kiln')
  })
  it('is its title’s first part where there is one page', () =>
    expect(name('<title>Kiln – pots</title><p>x')).toBe('Kiln'))
  it('a page that is not there says nothing', () =>
    expect(name('<title>Kiln</title><p>x', '<title>404 Not found</title><h1>404 Not found</h1>')).toBe('Kiln'))
})

describe('pages', () => {
  const page =
    parsePage(`<header><nav><a href="/">Home</a><a href="about/?ref=nav#top">About us</a><a href="https://other.example/x">Shop</a>
<a href="/news/"><img alt=""></a></nav></header><main><h1>x</h1><p>Some words that make a text of it, and more of them.</p><a href="/price-list.pdf">Prices</a>
<a href="/news">News from the pier</a><a href="/a/deep/page">Read more</a><a href="javascript:x()">x</a></main><footer><a href="/imprint">Imprint</a></footer>`)
  const found = linkedPages(page, 'https://ferries.example/', 'https://ferries.example')
  it('are those of the site, the navigation’s first, each once, with the name it is led to by', () =>
    expect(found).toEqual([
      { path: '/', title: 'Home', from: 'its navigation' },
      { path: '/about/', title: 'About us', from: 'its navigation' },
      { path: '/news/', title: 'News from the pier', from: 'its navigation' },
      { path: '/a/deep/page', title: '', from: 'its links' },
      { path: '/imprint', title: 'Imprint', from: 'the foot of its pages' },
    ]))
  it('are put together with what the site map lists', () =>
    expect(
      pagesOf(
        found,
        ['https://ferries.example/about', 'https://ferries.example/tide-tables', 'https://ferries.example/x.jpg'],
        'https://ferries.example',
      ).map(({ path, title }) => `${path} ${title}`),
    ).toEqual([
      '/ Home',
      '/about/ About us',
      '/news/ News from the pier',
      '/tide-tables Tide tables',
      '/a/deep/page Page',
      '/imprint Imprint',
    ]))
  it.each([
    ['https://ferries.example/login', null],
    ['http://ferries.example/x', null],
    ['../up', '/up'],
    ['mailto:a@b.example', null],
  ])('%s as a path is %s', (href, path) =>
    expect(pagePath(href, 'https://ferries.example/a/b', 'https://ferries.example')).toBe(path),
  )
  it('without a name are called by their path', () => {
    expect(titleFromPath('/opening-hours/')).toBe('Opening hours')
    expect(titleFromPath('/%E6%96%B0%E7%9D%80')).toBe('新着')
    expect(titleFromPath('/index.html')).toBe('Home')
  })
  it('take a base element as browsers do', () =>
    expect(
      linkedPages(
        parsePage('<base href="/de/"><a href="preise">Preise</a>'),
        'https://a.example/x',
        'https://a.example',
      )[0]!.path,
    ).toBe('/de/preise'))
})

describe('a first page', () => {
  it('that is none is refused, in words', () => {
    expect(readFirstPage(look('<title>x</title><h1>y</h1>', {}, 503)).problem).toBe('The site answers with error 503.')
    expect(readFirstPage({ ...look(''), error: { code: 'no-answer', message: 'It does not answer.' } }).problem).toBe(
      'It does not answer.',
    )
  })
  it('that scripts fill is read as far as it goes', () =>
    expect(
      readFirstPage(look('<html lang="en"><body><div id="root"></div><script src="/app.js"></script>')),
    ).toMatchObject({
      problem: null,
      language: { value: 'en' },
    }))
  it('shows what it is built with by what it loads, and nothing where nothing tells', () => {
    expect(
      readFirstPage(look('<link rel=stylesheet href="/content/themes/shore/a.css"><h1>x</h1><p>words')).platform,
    ).toMatchObject({
      value: 'cms-shortcodes',
    })
    expect(readFirstPage(look('<link rel=stylesheet href="/style.css"><h1>x</h1><p>words')).platform).toBeNull()
  })
})
