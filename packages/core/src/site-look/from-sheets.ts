import { load, type CheerioAPI } from 'cheerio'
// Its parts one by one: the whole brings tables of every property along, from files beside it.
import type { CssNode, Rule } from 'css-tree'
import generate from 'css-tree/generator'
import parse from 'css-tree/parser'
import walk from 'css-tree/walker'
import { toHexColour } from './css-colour'
import type { LookSamples } from './samples'

/** A style sheet and where it is: addresses in it are relative to that. */
export interface Sheet {
  css: string
  url: string
}

/** The sheets in a page, and addresses of those that it loads for a screen, in order. */
export function pageSheets(html: string, base: string): { inline: Sheet[]; linked: string[] } {
  const $ = load(html)
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

type Declared = Map<string, string>

/** What elements of a page stand for its look, the first that there is of each. */
const places = {
  root: ['html', ':root'],
  body: ['body'],
  text: ['main p', 'article p', 'p', 'body'],
  heading: ['main h1', 'h1', 'h2'],
  link: ['main p a', 'article p a', 'p a', 'a'],
  button: ['button', 'input[type=submit]', '.button', '.btn', 'a[class*=button]', 'a[class*=btn]'],
} as const

const TEXT_LINK = 'main p a, article p a, [role=main] p a'

/** Properties that are handed down from around an element (CSS 2.2, appendix F). */
const INHERITED = new Set(['color', 'font-family'])

interface Found {
  selector: string
  declared: Declared
  weight: number
  order: number
}

/**
 * A page's look as its style sheets say, where no browser can draw it: the cascade of what matters here, by specificity and order, for
 * one element of each sort. What only a script sets, or only a media query, is not seen.
 */
export function samplesFromSheets(html: string, sheets: readonly Sheet[]): LookSamples {
  const $ = load(html)
  // Where no words of the page are a link, one is put there to see how it would look.
  if (!$(TEXT_LINK).length) $('main, [role=main], article, body').first().append('<p><a href="#">probe</a></p>')
  const rules: Found[] = []
  const faces: LookSamples['faces'] = []
  for (const sheet of sheets) read(sheet, rules, faces)
  const of = (selectors: readonly string[]) => valuesAt($, selectors, rules)
  const [root, body, text, heading, link, button] = [
    places.root,
    places.body,
    places.text,
    places.heading,
    places.link,
    places.button,
  ].map(of)
  const variables = new Map([...(root ?? []), ...(body ?? [])].filter(([name]) => name.startsWith('--')))
  const said = (declared: Declared | undefined, name: string) => resolved(declared?.get(name) ?? '', variables)
  const colour = (declared: Declared | undefined, name: string) => toHexColour(said(declared, name)) ?? ''
  const ground = (declared: Declared | undefined) =>
    colour(declared, 'background-color') || colour(declared, 'background')
  const px = (value: string) =>
    /^\d*\.?\d+px$/.test(value) ? parseFloat(value) : /^\d*\.?\d+rem$/.test(value) ? parseFloat(value) * 16 : null
  const font = (declared: Declared | undefined) => said(declared, 'font-family')
  const level = Number(/h(\d)/.exec($(places.heading.join(',')).first().prop('tagName')?.toLowerCase() ?? '')?.[1] ?? 1)
  const content = widest($, rules, variables, px)
  return {
    texts:
      font(text) || colour(text, 'color')
        ? [{ font: font(text), colour: colour(text, 'color') || '#000000', letters: 1 }]
        : [],
    headings:
      heading && font(heading)
        ? [{ font: font(heading), colour: colour(heading, 'color') || '#000000', level, size: 0 }]
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
    ground: ground(body) || ground(root),
    edges: [],
    faces,
    content,
    spacing: px(said(text, 'margin-bottom')),
    radii: [],
  }
}

function read({ css, url }: Sheet, rules: Found[], faces: LookSamples['faces']): void {
  const sheet = parse(css, { parseCustomProperty: false, onParseError: () => {} })
  walk(sheet, {
    visit: 'Atrule',
    enter(node) {
      if (node.name.toLowerCase() === 'font-face' && node.block) faces.push(...faceIn(node.block, url))
    },
  })
  if (sheet.type !== 'StyleSheet') return
  sheet.children.forEach((node) => {
    if (node.type === 'Rule') rules.push(...found(node, rules.length))
  })
}

function declaredIn(block: CssNode): Declared {
  const declared: Declared = new Map()
  walk(block, {
    visit: 'Declaration',
    enter: (node) => void declared.set(node.property.toLowerCase(), generate(node.value).trim()),
  })
  return declared
}

function faceIn(block: CssNode, base: string): LookSamples['faces'] {
  const declared = declaredIn(block)
  const family = (declared.get('font-family') ?? '').replace(/^["']|["']$/g, '')
  const address = /url\(["']?([^"')]+\.woff2[^"')]*)["']?\)/.exec(declared.get('src') ?? '')?.[1]
  if (!family || !address || !URL.canParse(address, base)) return []
  return [{ family, src: new URL(address, base).href, weight: declared.get('font-weight') ?? '400' }]
}

function found(rule: Rule, order: number): Found[] {
  if (rule.prelude.type !== 'SelectorList') return []
  const declared = declaredIn(rule.block)
  return rule.prelude.children
    .toArray()
    .map((selector) => ({ selector: generate(selector), declared, weight: specificity(selector), order }))
}

/** Ids, then classes, then elements, as one number (Selectors 4, section 17; `:where`, `:is` and `:not` counted as one class). */
function specificity(selector: CssNode): number {
  let sum = 0
  walk(selector, (node) => {
    if (node.type === 'IdSelector') sum += 10_000
    else if (node.type === 'ClassSelector' || node.type === 'AttributeSelector' || node.type === 'PseudoClassSelector')
      sum += 100
    else if (node.type === 'TypeSelector') sum += 1
  })
  return sum
}

/** What applies to the first element there is, its own and what is handed down to it; undefined where there is none. */
function valuesAt($: CheerioAPI, selectors: readonly string[], rules: readonly Found[]): Declared | undefined {
  const element = selectors.map((one) => $(one).first()).find((one) => one.length)
  if (!element) return undefined
  const values: Declared = new Map()
  const line = [...element.parents().toArray().reverse(), element[0]!]
  for (const at of line) {
    const own = rules
      .filter(({ selector }) => matches($, at, selector))
      .sort((a, b) => a.weight - b.weight || a.order - b.order)
    for (const { declared } of own)
      for (const [name, value] of declared)
        if (at === element[0] || INHERITED.has(name) || name.startsWith('--')) values.set(name, value)
  }
  return values
}

function matches($: CheerioAPI, element: Parameters<CheerioAPI>[0], selector: string): boolean {
  try {
    return !/:(hover|focus|active|visited|before|after)|::/.test(selector) && $(element as never).is(selector)
  } catch {
    return false // a selector that is not known here
  }
}

/** A value with its variables filled in, as far as they are known. */
function resolved(value: string, variables: ReadonlyMap<string, string>, depth = 0): string {
  if (depth > 8) return ''
  return value.replace(/var\(\s*(--[\w-]+)\s*(?:,\s*([^()]*))?\)/g, (_, name: string, otherwise: string | undefined) =>
    resolved(variables.get(name) ?? otherwise ?? '', variables, depth + 1),
  )
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
