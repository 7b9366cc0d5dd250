import { describe, expect, it } from 'vitest'
import type { SiteLook } from '../look'
import { lookChanges } from './changes'
import { toHexColour } from './css-colour'
import { pageSheets, samplesFromSheets } from './from-sheets'
import { lookFrom } from './look-from'
import type { LookSamples } from './samples'

const base = 'https://ferries.example/news/'
const look = (html: string, css: string) => lookFrom(samplesFromSheets(html, [{ css, url: `${base}style.css` }]))
const page = (main: string) =>
  `<html><body><header><nav><a href="/">Home</a></nav></header><main><h1>News</h1>${main}</main></body></html>`

describe('a look from style sheets', () => {
  it('is what the cascade says: the more specific rule, then the later one', () => {
    const css = `
      body { color: #222; background: white; font-family: Karla, serif }
      nav a { color: white } main a { color: #0a0 } a { color: red }
      p { color: #333 } p { color: #444 }`
    const { text, background, accent, bodyFont, heading } = look(page('<p>Words <a href="#">on</a></p>'), css)
    expect([text!.value, background!.value, accent!.value, bodyFont!.value]).toEqual([
      '#444444',
      '#ffffff',
      '#00aa00',
      'Karla,serif',
    ])
    expect(heading!.value).toBe('#222222') // handed down
  })
  it('fills in variables, with what stands for those that are not there', () => {
    const css = ':root{--ink:#123456;--lead:var(--ink)} body{color:var(--lead);background:var(--none,#fefefe)}'
    const { text, background } = look(page('<p>Words</p>'), css)
    expect([text!.value, background!.value]).toEqual(['#123456', '#fefefe'])
  })
  it('knows how a link would look where there is none', () =>
    expect(look(page('<p>Words</p>'), 'nav a{color:#fff} a{color:#1f5f99}').accent).toEqual({
      value: '#1f5f99',
      from: 'its links',
    }))
  it('takes buttons, their corners, what the content is kept to, and files of the fonts in use', () => {
    const css = `
      @font-face { font-family: "Cabin"; src: url(cabin.woff2) format("woff2"); font-weight: 700 }
      @font-face { font-family: Other; src: url(other.woff2) }
      body { font-family: Cabin } main { max-width: 60rem; margin: auto }
      button { background: rgb(20 80 60); color: white; border-radius: 6px }`
    const { button, buttonText, radius, contentWidth, fontFaces } = look(page('<p>Words</p><button>Go</button>'), css)
    expect([button!.value, buttonText!.value, radius!.value, contentWidth!.value]).toEqual([
      '#14503c',
      '#ffffff',
      6,
      960,
    ])
    expect(fontFaces).toEqual([{ family: 'Cabin', src: 'https://ferries.example/news/cabin.woff2', weight: '700' }])
  })
  it('is of words on plain ground, and of the screen it is taken on', () => {
    const css = `
      body { background: #fff } .hero { background: url(sea.jpg); color: #fff } .band { background: #14503c }
      main { max-width: 700px } p { color: #333 } .hero p, .hero h1 { color: #fff; font-family: inherit }
      @media (min-width: 1200px) { main { max-width: 1140px } } @media (min-width: 90rem) { main { max-width: 1320px } }`
    const html = `<main><div class="hero"><h1>Ferries</h1><p>The longest words of the page stand on a picture of the sea.</p></div><p>Six a day.</p></main>`
    const { text, background, heading, contentWidth } = look(html, css)
    expect([text!.value, background!.value, heading, contentWidth!.value]).toEqual(['#333333', '#ffffff', null, 1140])
  })
  it('is nothing where nothing is said, and no sheet makes it throw', () => {
    expect(look('<p>Words</p>', '').text).toBeNull()
    for (const css of ['{{{', '@media{', 'a:has(:is(b){color:red}', ':::x{color:red}', '/*'])
      expect(() => look(page('<p>x</p>'), css)).not.toThrow()
  })
  it('finds the sheets of a page: those for a screen, in order', () =>
    expect(
      pageSheets(
        '<link rel="stylesheet" href="/a.css"><link rel=stylesheet media=print href=p.css><link rel="preload stylesheet" href="b.css"><style>p{}</style>',
        base,
      ),
    ).toEqual({
      linked: ['https://ferries.example/a.css', 'https://ferries.example/news/b.css'],
      inline: [{ css: 'p{}', url: base }],
    }))
})

const samples = (more: Partial<LookSamples> = {}): LookSamples => ({
  texts: [{ font: 'Cabin, sans-serif', colour: '#102030', letters: 500 }],
  headings: [],
  links: [],
  buttons: [],
  ground: '#ffffff',
  edges: [],
  faces: [],
  content: null,
  spacing: null,
  radii: [],
  ...more,
})

describe('a look from what a page shows', () => {
  it('is what most of it has', () => {
    const texts = [
      { font: 'A', colour: '#111111', letters: 30 },
      { font: 'B', colour: '#222222', letters: 20 },
      { font: 'B', colour: '#222222', letters: 20 },
    ]
    expect(lookFrom(samples({ texts })).bodyFont!.value).toBe('B')
  })
  it('the accent is of links, else of buttons, else of lines that are no grey', () => {
    const button = { ground: '#b8472a', colour: '#ffffff', radius: 4, area: 900 }
    const edges = [
      { colour: '#cccccc', area: 9000 },
      { colour: '#0f7a72', area: 400 },
    ]
    const accent = (more: Partial<LookSamples>) => lookFrom(samples(more)).accent
    expect(accent({ links: [{ colour: '#1f5f99', letters: 9, where: 'text' }], buttons: [button], edges })).toEqual({
      value: '#1f5f99',
      from: 'its links',
    })
    expect(accent({ links: [{ colour: '#102031', letters: 9, where: 'text' }], buttons: [button], edges })!.from).toBe(
      'its buttons',
    )
    expect(accent({ edges })).toEqual({ value: '#0f7a72', from: 'its lines and bands' })
    expect(accent({})).toBeNull()
  })
})

describe('a look that is not as it was noted', () => {
  const noted: SiteLook = {
    bodyFont: 'Cabin, sans-serif',
    headingFont: 'Zilla Slab, serif',
    fontFaces: [],
    text: '#102030',
    background: '#ffffff',
    accent: '#1f5f99',
    contentWidth: 1080,
  }
  const changes = (more: Partial<LookSamples>) => lookChanges(noted, lookFrom(samples(more)))
  it('is none for a shade that nobody sees, nor for what cannot be read now', () => {
    expect(changes({ links: [{ colour: '#20609a', letters: 9, where: 'text' }] })).toEqual([])
    expect(changes({})).toEqual([])
  })
  it('tells colours and fonts that are plainly others', () =>
    expect(
      changes({
        texts: [{ font: '"Karla", serif', colour: '#102030', letters: 9 }],
        links: [{ colour: '#b8472a', letters: 9, where: 'text' }],
      }),
    ).toEqual([
      { piece: 'accent', before: '#1f5f99', after: '#b8472a' },
      { piece: 'bodyFont', before: 'Cabin, sans-serif', after: '"Karla", serif' },
    ]))
})

it.each([
  ['#abc', '#aabbcc'],
  ['rgb(1 2 3 / 50%)', '#010203'],
  ['oklch(0.6 0.1 150)', '#'],
  ['url(x.png) no-repeat teal', '#008080'],
  ['transparent', null],
  ['none', null],
  ['', null],
] as [string, string | null][])('the colour in %s', (value, wanted) =>
  wanted === '#' ? expect(toHexColour(value)).toMatch(/^#[0-9a-f]{6}$/) : expect(toHexColour(value)).toBe(wanted),
)
