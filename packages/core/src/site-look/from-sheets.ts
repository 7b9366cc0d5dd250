import type { CheerioAPI } from 'cheerio'
import type { Element } from 'domhandler'
import { parseHtml } from '../html'
import { Cascade, matches, readSheet, resolved, type Declared, type Found, type Sheet } from './cascade'
import { toHexColour } from './css-colour'
import type { LookSamples } from './samples'

/** The sheets in a page, and addresses of those that it loads for a screen, in order. */
export function pageSheets(html: string, base: string): { inline: Sheet[]; linked: string[] } {
  const $ = parseHtml(html)
  const linked = $('link[rel~=stylesheet][href]')
    .toArray()
    .filter((link) => !/print/i.test($(link).attr('media') ?? ''))
    .map((link) => $(link).attr('href')!)
    .filter((href) => URL.canParse(href, base))
    .map((href) => new URL(href, base).href)
    .filter((href) => /^https?:/.test(href))
  return {
    inline: $('style')
      .toArray()
      .map((style) => ({ css: $(style).text(), url: base })),
    linked,
  }
}

/** What elements of a page stand for its look, the first that there is of each. */
const places = {
  root: ['html', ':root'],
  body: ['body'],
  link: ['main p a', 'article p a', 'p a', 'a'],
  button: ['button', 'input[type=submit]', '.button', '.btn', 'a[class*=button]', 'a[class*=btn]'],
} as const

const TEXT_LINK = 'main p a, article p a, [role=main] p a'

const all = ($: CheerioAPI, selector: string): Element[] => $<Element, string>(selector).toArray()

/** Parts of a page that have colours of their own. */
const APART = 'header, nav, footer, aside, [role=banner], [role=contentinfo], [role=navigation]'

/** Texts that are looked at for one that stands on a plain ground. */
const SOME = 8

/** The longest texts of the page, and the heading that is likest its own. */
function wordsOf($: CheerioAPI): { texts: Element[]; heading: Element | undefined } {
  const within = (selector: string) => all($, selector).filter((element) => !$(element).closest(APART).length)
  const byLength = (some: Element[]) =>
    some
      .map((element) => ({ element, length: $(element).text().trim().length }))
      .sort((a, b) => b.length - a.length)
      .slice(0, SOME)
      .map(({ element }) => element)
  return {
    texts: [
      ...byLength(within('main p, article p, [role=main] p')),
      ...byLength(within('p')),
      ...all($, 'p, body'),
    ].slice(0, SOME),
    heading: within('h1')[0] ?? within('h2')[0] ?? all($, 'h1, h2')[0],
  }
}

/**
 * A page's look as its style sheets say, where no browser can draw it: the cascade of what matters here, by specificity and order, for
 * one element of each sort. What only a script sets, or only a media query, is not seen.
 */
export function samplesFromSheets(html: string, sheets: readonly Sheet[]): LookSamples {
  const $ = parseHtml(html)
  // Where no words of the page are a link, one is put there to see how it would look.
  if (!$(TEXT_LINK).length) $('main, [role=main], article, body').first().append('<p><a href="#">probe</a></p>')
  const rules: Found[] = []
  const faces: LookSamples['faces'] = []
  for (const sheet of sheets) readSheet(sheet, rules, faces)
  const cascade = new Cascade($, rules)
  const of = (selectors: readonly string[]) => cascade.valuesOf(selectors.map((one) => all($, one)[0]).find(Boolean))
  const [root, body, link, button] = [places.root, places.body, places.link, places.button].map(of)
  const words = wordsOf($)
  const heading = cascade.valuesOf(words.heading)
  const variables = new Map([...(root ?? []), ...(body ?? [])].filter(([name]) => name.startsWith('--')))
  const said = (declared: Declared | undefined, name: string) => resolved(declared?.get(name) ?? '', variables)
  const colour = (declared: Declared | undefined, name: string) => toHexColour(said(declared, name)) ?? ''
  const ground = (declared: Declared | undefined) =>
    colour(declared, 'background-color') || colour(declared, 'background')
  const px = (value: string) =>
    /^(?:\d+(?:\.\d+)?|\.\d+)px$/.test(value)
      ? parseFloat(value)
      : /^(?:\d+(?:\.\d+)?|\.\d+)rem$/.test(value)
        ? parseFloat(value) * 16
        : null
  const font = (declared: Declared | undefined) => said(declared, 'font-family')
  const level = Number(/h(\d)/.exec(words.heading?.name ?? '')?.[1] ?? 1)
  const page = ground(body) || ground(root)
  /** What is declared to lie behind an element. */
  const behind = (element: Element | undefined): string => {
    for (const at of element ? [element, ...$(element).parents().toArray()] : []) {
      const own = cascade.valuesOf(at)
      const drawn = `${said(own, 'background-image')} ${said(own, 'background')}`
      if (/url\(|gradient\(/.test(drawn) && at.name !== 'body') return 'picture'
      if (ground(own)) return ground(own)
    }
    return page || '#ffffff'
  }
  const onPlain = words.texts.find((one) => behind(one) !== 'picture') ?? words.texts[0]
  const text = cascade.valuesOf(onPlain)
  /** Black where nothing is said; nothing where what is said is not understood here. */
  const ink = (declared: Declared | undefined) =>
    colour(declared, 'color') || (said(declared, 'color') ? '' : '#000000')
  const content = widest($, rules, variables, px)
  return {
    texts:
      font(text) || colour(text, 'color')
        ? [{ font: font(text), colour: ink(text), letters: 1, behind: behind(onPlain) }]
        : [],
    headings:
      heading && font(heading)
        ? [
            {
              font: font(heading),
              colour: ink(heading),
              level,
              size: 0,
              behind: behind(words.heading),
            },
          ]
        : [],
    links: colour(link, 'color') ? [{ colour: colour(link, 'color'), letters: 1, where: 'text' }] : [],
    buttons:
      button && ground(button)
        ? [
            {
              ground: ground(button),
              colour: colour(button, 'color') || '#000000',
              radius: px(said(button, 'border-radius')) ?? 0,
              area: 1,
            },
          ]
        : [],
    ground: behind(onPlain) === '#ffffff' ? page : behind(onPlain),
    edges: [],
    faces,
    content,
    spacing: px(said(text, 'margin-bottom')),
    radii: [],
  }
}

/** What holds the page's own words: what says so, else its longest paragraph. */
function contentOf($: CheerioAPI) {
  const named = $('main, [role=main], article, #content, .content').first()
  if (named.length) return named
  const [longest] = $('p')
    .toArray()
    .sort((a, b) => $(b).text().length - $(a).text().length)
  return longest ? $(longest) : $('h1, h2').first()
}

/** The largest width that something around the main content is kept to. */
function widest(
  $: CheerioAPI,
  rules: readonly Found[],
  variables: ReadonlyMap<string, string>,
  px: (value: string) => number | null,
): number | null {
  const around = [...contentOf($).parents().toArray(), ...$('main, body > *, main > *').toArray()]
  const widths = around.flatMap((element) =>
    rules.flatMap(({ selector, declared }) => {
      const width = declared.get('max-width') ?? declared.get('width')
      return width && matches($, element as never, selector) ? (px(resolved(width, variables)) ?? []) : []
    }),
  )
  const sensible = widths.filter((width) => width >= 400 && width <= 2400)
  return sensible.length ? Math.max(...sensible) : null
}
