import { load } from 'cheerio'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { HeadlinesPayload } from '@pebblestrand/core/kinds'
import { frameDocument } from './frame'
import { address, colour, escape } from './markup'
import { render } from './render'

const payload = (more: Partial<HeadlinesPayload> = {}): HeadlinesPayload => ({
  v: 1,
  kind: 'headlines',
  id: 'abc',
  release: 1,
  name: 'Harbour news',
  heading: 'From the harbour',
  locale: 'en-GB',
  items: [
    {
      title: 'Second ramp',
      link: 'https://post.example/1',
      excerpt: 'It opens.',
      author: 'Isla Marrow',
      date: '24 Nov 2026',
      iso: '2026-11-24T09:00:00.000Z',
      picture: { url: 'https://post.example/1.jpg', alt: 'A pier' },
    },
    { title: 'No link, no picture', link: null, excerpt: '', author: '', date: '', iso: null, picture: null },
  ],
  look: { font: null, accent: '#17665a', text: '', background: '', radius: 4 },
  layout: { picture: 'left', gap: 16, padding: 0, steps: [{ from: 482, columns: 2 }] },
  newTab: false,
  ...more,
})
const dom = (p: HeadlinesPayload) => load(render(p).html, null, false)

describe('headlines as HTML', () => {
  it('is a labelled section with a heading, a list, and a heading a headline', () => {
    const $ = dom(payload())
    expect($('section').attr()).toMatchObject({ lang: 'en-GB', 'aria-label': 'Harbour news' })
    expect($('h2').text()).toBe('From the harbour')
    expect($('ul[role=list] > li')).toHaveLength(2)
    expect($('li h3').first().text()).toBe('Second ramp')
  })
  it('links to the original in the same tab, out of any frame, or in a new one', () => {
    expect(dom(payload())('h3 a').attr()).toEqual({ href: 'https://post.example/1', target: '_top' })
    expect(dom(payload({ newTab: true }))('h3 a').attr()).toEqual({
      href: 'https://post.example/1',
      target: '_blank',
      rel: 'noopener',
    })
  })
  it('leaves out what is not there, without a trace', () => {
    const bare = dom(payload({ heading: '' }))
    expect(bare('h2')).toHaveLength(0)
    expect(bare('li').eq(1).find('a, img, p, time')).toHaveLength(0)
  })
  it('says when, for machines too', () =>
    expect(dom(payload())('time').attr('datetime')).toBe('2026-11-24T09:00:00.000Z'))
  it('loads pictures late, with their words', () =>
    expect(dom(payload())('img').attr()).toMatchObject({ alt: 'A pier', loading: 'lazy', decoding: 'async' }))

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
      fc.property(words, words, words, (title, excerpt, alt) => {
        const $ = dom(
          payload({
            heading: title,
            items: [
              {
                title,
                link: `https://a.example/${encodeURIComponent(alt)}`,
                excerpt,
                author: alt,
                date: excerpt,
                iso: title,
                picture: { url: 'https://a.example/p', alt },
              },
            ],
          }),
        )
        expect($('script, iframe, style')).toHaveLength(0)
        expect(
          $('*')
            .toArray()
            .every((e) => !('attribs' in e) || Object.keys(e.attribs).every((name) => !name.startsWith('on'))),
        ).toBe(true)
        expect($('li')).toHaveLength(1)
        expect($('img').attr('alt')).toBe(alt.replace(/\r\n?/g, '\n'))
      }),
    )
  })
  it.each(['javascript:alert(1)', 'data:text/html,x', 'vbscript:x', ' javascript:x', '//x.example', ''])(
    'does not link to %j',
    (link) => {
      const $ = dom(payload({ items: [{ ...payload().items[0]!, link, picture: { url: link, alt: '' } }] }))
      expect($('a, img')).toHaveLength(0)
    },
  )
})

describe('headlines as CSS', () => {
  const css = (p: HeadlinesPayload) => render(p).css
  it('shows more columns from the widths the core worked out', () =>
    expect(css(payload())).toContain('@container (min-width:482px){.l{grid-template-columns:repeat(2,minmax(0,1fr))}}'))
  it('takes the colours that are set, and else the page’s own', () => {
    expect(css(payload())).not.toMatch(/[^-]color:#/)
    expect(css(payload({ look: { ...payload().look, text: '#102030', background: '#ffffff' } }))).toMatch(
      /color:#102030;background:#ffffff/,
    )
  })
  it('drops what is no colour, so that nothing else gets in', () => {
    const evil = { ...payload().look, accent: 'red;}body{display:none', text: 'url(x)', background: '#fff}*{' }
    expect(css(payload({ look: evil }))).not.toMatch(/display:none|url\(x\)|#fff\}/)
  })
  it('names the shipped font and asks for its file', () => {
    const font = { family: 'Pebblestrand Mono', file: 'jetbrains-mono.woff2', generic: 'monospace' }
    const rendered = render(payload({ look: { ...payload().look, font } }))
    expect(rendered.font).toEqual(font)
    expect(rendered.css).toContain('font-family:"Pebblestrand Mono",monospace')
  })
})

describe('an unknown kind', () => {
  it('gives nothing, so that an old script meets a new kind in peace', () =>
    expect(render({ ...payload(), kind: 'hologram' } as never)).toEqual({ html: '', css: '', font: null }))
})

describe('the frame’s page', () => {
  const look = {
    bodyFont: '"Cabin", serif',
    headingFont: 'x',
    fontFaces: [{ family: 'Cabin', src: 'https://ferries.example/cabin.woff2', weight: '400' }],
    text: '#102030',
    background: '#fff',
    accent: '#000',
    contentWidth: 900,
  }
  it('is whole, titled, not indexed, and wears the site’s look', () => {
    const html = frameDocument(payload(), 'https://strand.example', look)
    const $ = load(html)
    expect($('title').text()).toBe('Harbour news')
    expect($('meta[name=robots]').attr('content')).toBe('noindex')
    expect($('style').text()).toContain('font-family:"Cabin", serif;color:#102030')
    expect($('style').text()).toContain('src:url("https://ferries.example/cabin.woff2")')
    expect($('script')).toHaveLength(0)
    expect($('li')).toHaveLength(2)
  })
  it('lets a look do nothing but look', () => {
    const evil = {
      ...look,
      bodyFont: 'x;}</style><script>alert(1)</script>',
      text: 'red}*{display:none',
      fontFaces: [
        { family: 'a";}', src: 'javascript:alert(1)', weight: '4' },
        { family: 'b', src: 'https://x.example/a.woff2");}*{display:none', weight: '400;}' },
      ],
    }
    const $ = load(frameDocument(payload(), 'https://strand.example', evil))
    expect($('script')).toHaveLength(0)
    expect($('style').text()).not.toMatch(/\}\*|\*\{|javascript:/)
    expect($('style')).toHaveLength(1)
  })
})

describe('the three gates', () => {
  it('escape: all five, for text and attributes alike', () =>
    expect(escape(`<a b="c" d='e'>&`)).toBe('&#60;a b=&#34;c&#34; d=&#39;e&#39;&#62;&#38;'))
  it('address: http and https only', () => {
    expect(address('https://a.example/?a=1&b=2')).toBe('https://a.example/?a=1&#38;b=2')
    expect(address('ftp://a.example/')).toBe('')
    expect(address(null)).toBe('')
  })
  it('colour: hexadecimal only', () => {
    expect([colour('#abc'), colour('#A1B2C3'), colour('red'), colour('#12'), colour('')]).toEqual([
      '#abc',
      '#A1B2C3',
      '',
      '',
      '',
    ])
  })
})
