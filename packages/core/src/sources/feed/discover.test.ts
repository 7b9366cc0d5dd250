import { describe, expect, it } from 'vitest'
import { discoverFeeds, usualFeedAddresses } from './discover'

const page = (head: string, body = '') => `<!DOCTYPE html><html><head>${head}</head><body>${body}</body></html>`
const urls = (html: string, base = 'https://site.example/blog/') => discoverFeeds(html, base).map((c) => c.url)

// HTML standard, 4.6.7.1 link type "alternate": a feed is declared by its type; relative addresses resolve against the base.
describe('feeds that a page declares', () => {
  it('finds RSS and Atom in the order of the document', () => {
    const html = page(
      '<link rel="alternate" type="application/atom+xml" href="posts.xml" title="Cool Stuff Blog"><link rel=alternate type="application/rss+xml" href="/rss" title="News">',
    )
    expect(discoverFeeds(html, 'https://site.example/blog/')).toEqual([
      { url: 'https://site.example/blog/posts.xml', title: 'Cool Stuff Blog', how: 'declared' },
      { url: 'https://site.example/rss', title: 'News', how: 'declared' },
    ])
  })
  it('finds a JSON Feed by its two types', () => {
    expect(
      urls(
        page(
          '<link rel="alternate" type="application/feed+json" href="/a"><link rel="alternate" type="application/json" href="/b">',
        ),
      ),
    ).toEqual(['https://site.example/a', 'https://site.example/b'])
  })
  it('takes rel and type without regard to case, order and parameters', () => {
    expect(urls(page('<LINK REL="Home ALTERNATE" TYPE="Application/RSS+XML; charset=utf-8" HREF="/x">'))).toEqual([
      'https://site.example/x',
    ])
  })
  it('honours base', () => {
    expect(urls(page('<base href="/other/"><link rel="alternate" type="application/rss+xml" href="rss">'))).toEqual([
      'https://site.example/other/rss',
    ])
  })
  it('takes rel=feed', () => {
    expect(urls(page('<link rel="feed" href="/f">'))).toEqual(['https://site.example/f'])
  })
  it('passes over translations, style sheets and oEmbed', () => {
    const html = page(
      '<link rel="alternate" hreflang="de" href="/de"><link rel="alternate stylesheet" type="text/css" href="/c.css"><link rel="alternate" type="application/json+oembed" href="/oembed"><link rel="stylesheet" href="/s.css">',
    )
    expect(urls(html)).toEqual([])
  })
  it('passes over what is no web address, and doubles', () => {
    const html = page(
      '<link rel="alternate" type="application/rss+xml" href="javascript:1"><link rel="alternate" type="application/rss+xml" href="/r"><link rel="alternate" type="application/rss+xml" href="/r">',
    )
    expect(urls(html)).toEqual(['https://site.example/r'])
  })
})

describe('feeds that a page links to', () => {
  it('finds links that speak of feeds, after the declared ones', () => {
    const html = page(
      '<link rel="alternate" type="application/rss+xml" href="/r">',
      '<a href="/r">RSS</a><a href="/all.atom">Everything</a><a href="/subscribe">Our feed</a><a href="/feedback">Feedback</a><a href="/grass">grass</a>',
    )
    expect(discoverFeeds(html, 'https://site.example/').map((c) => [c.url, c.how])).toEqual([
      ['https://site.example/r', 'declared'],
      ['https://site.example/all.atom', 'linked'],
      ['https://site.example/subscribe', 'linked'],
    ])
  })
})

describe('usual places', () => {
  it('looks beside the page first, then at the root, each once', () => {
    const all = usualFeedAddresses('https://site.example/journal/').map((c) => c.url)
    expect(all.slice(0, 3)).toEqual([
      'https://site.example/journal/feed',
      'https://site.example/journal/rss.xml',
      'https://site.example/feed',
    ])
    expect(new Set(all).size).toBe(all.length)
  })
  it('does not look below a file', () => {
    expect(usualFeedAddresses('https://site.example/index.html').map((c) => c.url)).not.toContain(
      'https://site.example/index.html/feed',
    )
  })
})
