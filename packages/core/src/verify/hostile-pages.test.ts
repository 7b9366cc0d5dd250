import { Element as DomElement } from 'domhandler'
import { describe, expect, it } from 'vitest'
import { discoverFeeds } from '../sources/feed/discover'
import { parseFeed } from '../sources/feed/parse-feed'
import { fingerprint } from './fingerprint'
import type { Look } from './look'
import { parsePage } from './page'
import { Plan } from './plan'
import { findTraces } from './traces'
import { verify } from './verify'

// Documents that make a careless reader go over them again and again. Each of these took minutes to years once; a reader
// that is careful is through in moments, and one that is not runs into the tests' own limit.

const many = (text: string, count: number) => text.repeat(count)
const plan = Plan.parse({ install: 'abcd', origin: 'https://s.example', placement: { region: 'main', width: 300 } })
const check = (html: string) => {
  const served: Look = {
    how: 'served',
    url: 'https://a.example/',
    finalUrl: 'https://a.example/',
    status: 200,
    headers: {},
    html,
    at: '2026-11-24T10:00:00.000Z',
    ms: 1,
    error: null,
  }
  return verify(plan, [served])
}

const fonts = (count: number) => Array.from({ length: count }, (_, i) => `<font color="${i}">`).join('')

describe('pages', () => {
  it.each([
    ['scripts that never end', many('<script>', 100_000)],
    ['comments that never end', `<div data-pebblestrand="abcd"></div>${many('<!--', 200_000)}`],
    ['what begins like our mark', `<p>data-pebblestrand=${many(' ', 200_000)}!`],
    ['what begins like a frame', `<p>/f/${many('https://', 100_000)}`],
    ['many texts in one block', `<p>${many('/f/<b>x</b>', 30_000)}`],
    ['many ids as text', `<p>${Array.from({ length: 30_000 }, (_, i) => `data-pebblestrand="abcde${i}" `).join('')}`],
    ['many copies', many('<div data-pebblestrand="abcd"></div>\n', 20_000)],
    ['a class without end', `<div class="${many('a-', 300_000)}">${many('<div data-pebblestrand="abcd"></div>', 300)}`],
    ['a width without end', `<main><iframe src="https://s.example/f/abcd" style="width: 1${many(' ', 200_000)}x">`],
    ['a late body', `${many('<script>"<body>"</script>', 20_000)}x${many('<p>y', 20_000)}<body class="late">`],
  ])('with %s are looked through', (_name, html) => {
    const traces = findTraces(parsePage(html))
    expect(traces.live.length + traces.dead.length).toBeLessThanOrEqual(400)
    expect(check(html).facts.fingerprint).toMatch(/^p1:/)
  })

  it('of framesets, which hold nothing themselves, are told apart', () =>
    expect(check('<!doctype html><html><frameset><frame src="/a"></frameset></html>').findings[0]!.code).toBe(
      'unreachable',
    ))
  it.each([
    ['numeric references without end', `<main>&#x${many('0080', 100)};&#${many('9', 400)};x</main>`],
    ['halves of letters', '<a \udc00\udfff=\udc00\udc00>\udfff\udc00</a>'],
    ['what is moved out of tables', many('x<table>', 60_000)],
  ])('with %s are read', (_name, html) => expect(() => parsePage(html)).not.toThrow())
  it('nested deeper than a browser nests are looked through', () => {
    const page = parsePage(`${many('<div>', 790)}<i data-pebblestrand="abcd">${many('</div>', 790)}`)
    expect(findTraces(page).live).toHaveLength(1)
    expect(fingerprint(page)).not.toBe(fingerprint(parsePage('<div>')))
  })
  it('nested deeper than a stack of calls are looked through by us, whoever built them', () => {
    const page = parsePage('<i data-pebblestrand="abcd"></i>')
    const body = page.$('body').get(0)!
    for (let deep = 0; deep < 12_000; deep++) {
      body.children = [new DomElement('div', {}, body.children)]
      body.children[0]!.parent = body
    }
    expect(findTraces(page).live).toHaveLength(1)
    expect(fingerprint(page)).not.toBe(fingerprint(parsePage('<div>')))
  })
  it.each([
    ['templates 40,000 deep', many('<template>', 40_000)],
    ['elements 12,000 deep', many('<div>', 12_000)],
    ['formatting that is opened anew in every block', `<p>${fonts(400)}${many('<p>x', 10_000)}`],
    ['links that never end', many('<a href="/feed"><div>', 10_000)],
    ['attributes without end', `<p ${Array.from({ length: 30_000 }, (_, i) => `a${i}`).join(' ')}>`],
  ])('with %s are told apart as too tangled', (_name, html) => {
    expect(() => parsePage(html)).toThrow(RangeError)
    expect(() => discoverFeeds(html, 'https://a.example/')).toThrow(RangeError)
  })

  it('count copies up to a limit, and show the first few as proof', () => {
    const [double] = check(`<main>${many('<div data-pebblestrand="abcd"></div>\n', 5000)}</main>`).findings
    expect(double).toMatchObject({ code: 'double', data: { copies: 200 }, proof: { excerpts: { length: 5 } } })
  })
})

describe('feeds', () => {
  const rss = (items: string) =>
    `<?xml version="1.0"?><rss version="2.0"><channel><title>t</title>${items}</channel></rss>`
  const item = (inner: string) => rss(`<item><title>x</title>${inner}</item>`)
  const entities = [...'bcdefghij'].map((c, i) => `<!ENTITY ${c} "${many(`&${'abcdefghij'[i]};`, 10)}">`).join('')

  it('that are comments only are none', () =>
    expect(() => parseFeed(`${many('<!-- a -->', 60)}x`, null)).toThrow('neither RSS'))
  it.each([
    ['an author of signs', item(`<author>${many('@', 200_000)}</author>`)],
    ['a date of spaces', item(`<pubDate>1 jan 2020${many(' ', 200_000)}x</pubDate>`)],
  ])('with %s are read', (_name, text) => expect(parseFeed(text, null).entries).toHaveLength(1))
  it('do not unfold entities without end', () => {
    const laughs = `<!DOCTYPE l [<!ENTITY a "aaaaaaaaaa">${entities}]>${item('<description>&j;</description>')}`
    let length = 0
    try {
      length = parseFeed(laughs, null).entries[0]!.body.text.length
    } catch {
      // refused is well too
    }
    expect(length).toBeLessThan(100_000)
  })
  it('are found among many links', () =>
    expect(discoverFeeds(many('<a href="/feed.xml">feed</a>', 20_000), 'https://a.example/')).toHaveLength(1))
})
