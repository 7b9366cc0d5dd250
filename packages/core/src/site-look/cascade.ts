import type { CheerioAPI } from 'cheerio'
import type { Element } from 'domhandler'
// Its parts one by one: the whole brings tables of every property along, from files beside it.
import type { CssNode, Rule } from 'css-tree'
import generate from 'css-tree/generator'
import parse from 'css-tree/parser'
import walk from 'css-tree/walker'
import type { LookSamples } from './samples'

/** A style sheet and where it is: addresses in it are relative to that. */
export interface Sheet {
  css: string
  url: string
}

/** Values by property, as written. */
export type Declared = Map<string, string>

/** Properties that are handed down from around an element (CSS 2.2, appendix F). */
const INHERITED = new Set(['color', 'font-family'])

/** A rule for one selector. */
export interface Found {
  selector: string
  declared: Declared
  weight: number
  order: number
}

/** Reads a sheet's rules and font files, those before it kept. */
export function readSheet({ css, url }: Sheet, rules: Found[], faces: LookSamples['faces']): void {
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
    else if (node.type === 'Atrule' && node.name === 'media' && node.prelude && isWide(generate(node.prelude)))
      node.block?.children.forEach((inner) => {
        if (inner.type === 'Rule') rules.push(...found(inner, rules.length))
      })
  })
}

/** Px: of the screen that a look is taken on. */
const SCREEN = 1280

/** Whether a media query asks for nothing but a least width that the screen has. */
function isWide(query: string): boolean {
  const [, amount, unit] = /^(?:(?:only )?screen and ?)?\(min-width: ?([\d.]+)(px|em|rem)\)$/.exec(query) ?? []
  return amount !== undefined && Number(amount) * (unit === 'px' ? 1 : 16) <= SCREEN
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

/** What applies to the elements of a page. */
export class Cascade {
  private readonly own = new Map<Element, Declared[]>()
  constructor(
    private readonly $: CheerioAPI,
    private readonly rules: readonly Found[],
  ) {}

  /** An element's own values and what is handed down to it; undefined where there is no element. */
  valuesOf(element: Element | undefined): Declared | undefined {
    if (!element) return undefined
    const values: Declared = new Map()
    for (const at of [...this.$(element).parents().toArray().reverse(), element])
      for (const declared of this.ownOf(at))
        for (const [name, value] of declared)
          if ((at === element || INHERITED.has(name) || name.startsWith('--')) && value !== 'inherit')
            values.set(name, value)
    return values
  }

  /** By weight, then by order. */
  private ownOf(element: Element): Declared[] {
    let own = this.own.get(element)
    if (!own) {
      own = this.rules
        .filter(({ selector }) => matches(this.$, element, selector))
        .sort((a, b) => a.weight - b.weight || a.order - b.order)
        .map(({ declared }) => declared)
      this.own.set(element, own)
    }
    return own
  }
}

export function matches($: CheerioAPI, element: Parameters<CheerioAPI>[0], selector: string): boolean {
  try {
    return !/:(hover|focus|active|visited|before|after)|::/.test(selector) && $(element as never).is(selector)
  } catch {
    return false // a selector that is not known here
  }
}

/** A value with its variables filled in, as far as they are known. */
export function resolved(value: string, variables: ReadonlyMap<string, string>, depth = 0): string {
  if (depth > 8) return ''
  return value.replace(/var\(\s*(--[\w-]+)\s*(?:,([^()]*))?\)/g, (_, name: string, otherwise: string | undefined) =>
    resolved(variables.get(name) ?? otherwise?.trim() ?? '', variables, depth + 1),
  )
}
