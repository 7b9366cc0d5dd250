import { load } from 'cheerio'
import { describe, expect, it } from 'vitest'
import type { Rendered } from '../kinds'
import { methodList } from '../methods'
import { artefactForms, framePage, payloadOf, stillForms, TELLS_HEIGHT } from './index'
import { standalonePage } from './standalone-page'

const rendered: Rendered = {
  html: '<ul><li>One</li><li>Two</li></ul>',
  css: ':host{display:block}.w{color:red}',
  font: null,
  behaviours: [],
  data: {},
}
const payload = payloadOf(rendered, { release: 3, name: 'Harbour news' })
const look = {
  bodyFont: '"Cabin", serif',
  headingFont: 'x',
  fontFaces: [{ family: 'Cabin', src: 'https://ferries.example/cabin.woff2', weight: '400' }],
  text: '#102030',
  background: '#fff',
  accent: '#000',
  contentWidth: 900,
}
const around = {
  origin: 'https://strand.example',
  publicId: 'abcd-efgh',
  look,
  site: { name: 'Gullhaven Ferries', origin: 'https://ferries.example' },
  width: 300,
  height: 420,
  agency: 'Tern & Tiller Web Care',
  indexed: false,
}

describe('artefacts', () => {
  it('there is one for every method', () => {
    for (const method of methodList) expect(Object.keys({ ...artefactForms, ...stillForms })).toContain(method.artefact)
  })
  it('the payload is all that was rendered, with version, release and name', () =>
    expect(JSON.parse(artefactForms.payload.text(payload, { ...around, look: null }))).toEqual({
      v: 2,
      ...rendered,
      release: 3,
      name: 'Harbour news',
      closes: 'Close',
    }))
  it('the word for closing it is of its own language', () =>
    expect(
      payloadOf({ ...rendered, html: '<section class="w" lang="de-AT">x</section>' }, { release: 1, name: 'x' }).closes,
    ).toBe('Schließen'))
})

describe('the frame’s page', () => {
  it('leads to the site’s own pages, not to pages of ours', () => {
    const html =
      '<div lang="en"><a class="b" href="/orders?a=1&amp;b">x</a><a href="//cdn.example/x">y</a><a href="https://a.example/">z</a></div>'
    const $ = load(framePage({ ...payload, html }, around))
    expect(
      $('a')
        .toArray()
        .map((a) => $(a).attr('href')),
    ).toEqual([`${around.site.origin}/orders?a=1&b`, '//cdn.example/x', 'https://a.example/'])
  })
  it('is whole, titled, not indexed, and wears the site’s look', () => {
    const $ = load(framePage(payload, around))
    expect($('title').text()).toBe('Harbour news')
    expect($('meta[name=robots]').attr('content')).toBe('noindex')
    expect($('style').text()).toContain('font-family:"Cabin", serif;color:#102030')
    expect($('style').text()).toContain('src:url("https://ferries.example/cabin.woff2")')
    expect($('style').text()).toContain('#widget{display:block}')
    expect(
      $('script')
        .toArray()
        .map((one) => $(one).text()),
    ).toEqual([TELLS_HEIGHT])
    expect($('li')).toHaveLength(2)
  })
  it('speaks the language of the widget', () => {
    const spoken = payloadOf(
      { ...rendered, html: '<section class="w" lang="ar" dir="rtl">x</section>' },
      { release: 1, name: 'x' },
    )
    expect(load(framePage(spoken, around))('html').attr('lang')).toBe('ar')
    expect(load(framePage(payload, around))('html').attr('lang')).toBe('en')
  })
  it('brings the script only where there are behaviours, and tells it which', () => {
    const alive = payloadOf({ ...rendered, behaviours: ['count'], data: { n: '"<' } }, { release: 1, name: 'x' })
    const $ = load(framePage(alive, around))
    expect($('script').attr('src')).toBe('https://strand.example/strand.js')
    expect(JSON.parse($('#widget').attr('data-pebblestrand-page')!)).toEqual({
      id: 'abcd-efgh',
      behaviours: ['count'],
      data: { n: '"<' },
    })
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
    const $ = load(framePage(payload, { ...around, look: evil }))
    expect(
      $('script')
        .toArray()
        .map((one) => $(one).text()),
    ).toEqual([TELLS_HEIGHT])
    expect($('style').text()).not.toMatch(/\}\*|\*\{|javascript:/)
    expect($('style')).toHaveLength(1)
  })
})

describe('the page behind an address', () => {
  it('stands on its own: titled, with a way home, kept from search engines unless somebody wants it there', () => {
    const $ = load(standalonePage(payload, around))
    expect($('title').text()).toBe('Harbour news')
    expect($('li')).toHaveLength(2)
    expect($('.home a').attr('href')).toBe('https://ferries.example')
    expect($('meta[name=robots]').attr('content')).toBe('noindex')
    expect(load(standalonePage(payload, { ...around, indexed: true }))('meta[name=robots]').attr('content')).toBe(
      'index,follow',
    )
  })
  // oEmbed 1.0, section 4: discovery by link elements of these types in the head.
  it('says how editors can expand its address', () => {
    const $ = load(standalonePage(payload, around))
    const links = $('head link[rel=alternate]')
      .toArray()
      .map((link) => [$(link).attr('type'), new URL($(link).attr('href')!).searchParams.get('url')])
    expect(links).toEqual([
      ['application/json+oembed', 'https://strand.example/v/abcd-efgh'],
      ['text/xml+oembed', 'https://strand.example/v/abcd-efgh'],
    ])
  })
})

describe('what a connector puts in a shortcode’s place', () => {
  it('is the element and the script, with the room it takes', () => {
    const $ = load(artefactForms.connector.text(payload, around))
    expect($('[data-pebblestrand="abcd-efgh"]').attr('style')).toContain('420px')
    expect($('script').attr('src')).toBe('https://strand.example/strand.js')
  })
})
