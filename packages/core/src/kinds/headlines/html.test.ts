import { load } from 'cheerio'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { drawn } from '../render-widget'
import { articleItem, type Item } from '../../items'
import { headlines } from './index'
import { HeadlinesSettings } from './settings'

const item = articleItem('a:1', {
  title: 'Second ramp',
  link: 'https://post.example/1',
  text: 'It opens.',
  author: 'Isla Marrow',
  publishedAt: '2026-11-24T09:00:00.000Z',
  picture: { url: 'https://post.example/1.jpg', width: null, height: null, alt: 'A pier' },
})
const bare = articleItem('a:2', { title: 'No link, no picture' })
const render = (settings: Partial<HeadlinesSettings> = {}, items: Item[] = [item, bare]) =>
  drawn(headlines, {
    settings: HeadlinesSettings.parse({ title: 'own', titleText: 'From the harbour', author: true, ...settings }),
    items,
    context: { widgetName: 'Harbour news', sources: {}, facts: {} },
  })
const dom = (settings?: Partial<HeadlinesSettings>, items?: Item[]) => load(render(settings, items).html, null, false)

describe('headlines as HTML', () => {
  it('is a labelled section with a heading, a list, and a heading a headline', () => {
    const $ = dom()
    expect($('section').attr()).toMatchObject({ lang: 'en-GB', 'aria-label': 'Harbour news' })
    expect($('h2').text()).toBe('From the harbour')
    expect($('ul[role=list] > li')).toHaveLength(2)
    expect($('li h3').first().text()).toBe('Second ramp')
  })
  it('links to the original in the same tab, out of any frame, or in a new one', () => {
    expect(dom()('h3 a').attr()).toEqual({ part: 'link', href: 'https://post.example/1', target: '_top' })
    expect(dom({ target: 'new' })('h3 a').attr()).toEqual({
      part: 'link',
      href: 'https://post.example/1',
      target: '_blank',
      rel: 'noopener',
    })
  })
  it('leaves out what is not there, without a trace', () => {
    const $ = dom({ title: 'none' })
    expect($('h2')).toHaveLength(0)
    expect($('li').eq(1).find('a, img, p, time')).toHaveLength(0)
  })
  it('says when, for machines too', () => expect(dom()('time').attr('datetime')).toBe('2026-11-24T09:00:00.000Z'))
  it('loads pictures late, with their words', () =>
    expect(dom()('img').attr()).toMatchObject({ alt: 'A pier', loading: 'lazy', decoding: 'async' }))
  it('has no style of its own on any element, which a strict policy would stop', () =>
    expect(dom()('[style], style')).toHaveLength(0))

  it('never lets a feed’s words become markup, whatever they are', () => {
    const words = fc.oneof(
      fc.string(),
      fc.constantFrom(
        '<script>alert(1)</script>',
        '"><img src=x onerror=alert(1)>',
        "' onclick='x",
        '</ul></section>',
        '&lt;b&gt;',
        '<!--',
      ),
    )
    fc.assert(
      fc.property(words, words, words, (title, text, alt) => {
        const hostile = articleItem('a:1', {
          title,
          text,
          author: alt,
          link: `https://a.example/${encodeURIComponent(alt.toWellFormed())}`,
          picture: { url: 'https://a.example/p', width: null, height: null, alt },
        })
        const $ = dom({ titleText: title.slice(0, 80) }, [hostile])
        expect($('script, iframe, style')).toHaveLength(0)
        expect(
          $('*')
            .toArray()
            .every((e) => !('attribs' in e) || Object.keys(e.attribs).every((name) => !name.startsWith('on'))),
        ).toBe(true)
        expect($('li')).toHaveLength(1)
        expect($('img').attr('alt')).toBe(alt.toWellFormed().replace(/\0/g, ''))
      }),
    )
  })
  it.each(['javascript:alert(1)', 'data:text/html,x', 'vbscript:x', ' javascript:x', '//x.example', ''])(
    'does not link to %j',
    (link) => {
      const evil = {
        ...item,
        link,
        body: { ...item.body, picture: { url: link, width: null, height: null, alt: '' } } as typeof item.body,
      }
      expect(dom({}, [evil])('a, img')).toHaveLength(0)
    },
  )
})

describe('headlines as CSS', () => {
  it('shows more columns from the widths the core worked out', () =>
    expect(render({ layout: 'grid', columns: 2, picture: 'top' }).css).toContain(
      '@container (width>=316px){.l{--n:2}}',
    ))
  it('takes the colours that are set, and else the page’s own', () => {
    expect(render().css).not.toMatch(/\.w\{[^}]*[;{]color:/)
    expect(render({ text: '#102030', background: '#ffffff' }).css).toMatch(
      /--text:#102030;--background:#ffffff;.*color:var\(--text\);background:var\(--background\)/,
    )
  })
  it('drops what is no colour, so that nothing else gets in', () => {
    const evil = { accent: 'red;}body{display:none', text: 'url(x)', background: '#fff}*{' }
    const settings = { ...HeadlinesSettings.parse({}), ...evil }
    const { css } = drawn(headlines, { settings, items: [], context: { widgetName: '', sources: {}, facts: {} } })
    expect(css).not.toMatch(/display:none|url\(x\)|#fff\}/)
  })
  it('names the shipped font and asks for its file', () => {
    const { font, css } = render({ font: 'mono' })
    expect(font).toMatchObject({
      family: 'Pebblestrand JetBrains Mono',
      file: 'jetbrains-mono-latin-wght-normal.woff2',
      generic: 'monospace',
    })
    expect(css).toContain('font-family:"Pebblestrand JetBrains Mono",monospace')
  })
})
