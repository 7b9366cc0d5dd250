import type { CssNode } from 'css-tree'
import generate from 'css-tree/generator'
import parse from 'css-tree/parser'
import walk from 'css-tree/walker'
import type { Element } from 'domhandler'
import { matchesOf } from '../match-selector'
import { textWithin } from '../../html'
import { elementsNamed, type Page } from '../page'

/** Of all that a style says, what tells where a box lies and whether it is seen. */
const telling = new Set(
  'display float width flex flex-basis flex-direction flex-flow grid-template-columns grid-template-areas grid-area grid-column grid-template visibility position'.split(
    ' ',
  ),
)

/** Declarations by property, as written. */
export type Declared = Record<string, string>

/** What of a page's own style sheets is read. */
const MOST = { letters: 300_000, rules: 400 }

/** Whether a rule holds on a wide screen: no print, no most width. */
const isForScreens = (media: string) => !/print|max-width|max-device|prefers|speech/i.test(media)

const known = new WeakMap<Page, Map<Element, Declared>>()

/** What the page's `style` elements and attributes declare for an element that tells where it lies. Linked sheets are not read. */
export function declared(page: Page, element: Element): Declared {
  let sheets = known.get(page)
  if (!sheets) known.set(page, (sheets = readSheets(page)))
  const own = element.attribs.style ? declarationsIn(element.attribs.style.slice(0, 4000)) : null
  const shared = sheets.get(element)
  return own ? { ...shared, ...own } : (shared ?? {})
}

/** A `style` attribute's declarations that tell. */
function declarationsIn(text: string): Declared {
  const found: Declared = {}
  for (const part of text.split(';')) {
    const colon = part.indexOf(':')
    const name = part.slice(0, colon).trim().toLowerCase()
    if (colon > 0 && telling.has(name)) found[name] = valueOf(part.slice(colon + 1))
  }
  return found
}

const valueOf = (text: string) =>
  text
    .replace(/!important/i, '')
    .trim()
    .toLowerCase()

function readSheets(page: Page): Map<Element, Declared> {
  const all = new Map<Element, Declared>()
  let [letters, rules] = [MOST.letters, MOST.rules]
  for (const style of elementsNamed(page, 'style')) {
    if (!isForScreens(style.attribs.media ?? '')) continue
    const text = textWithin(style, MOST.letters)
    if ((letters -= text.length) < 0) break
    for (const [selector, declarations] of rulesIn(text)) {
      if (--rules < 0) return all
      for (const element of matchesOf(page, selector) ?? []) all.set(element, { ...all.get(element), ...declarations })
    }
  }
  return all
}

/** Rules that tell something, in their order; a mistake in the sheet costs what it stands in. */
function rulesIn(text: string): [string, Declared][] {
  const found: [string, Declared][] = []
  let tree: CssNode
  try {
    tree = parse(text, { parseValue: false, parseAtrulePrelude: false, parseRulePrelude: false })
  } catch {
    return []
  }
  walk(tree, {
    visit: 'Rule',
    enter(rule) {
      if (this.atrule && !(this.atrule.name === 'media' && isForScreens(generate(this.atrule.prelude ?? rule)))) return
      const declarations: Declared = {}
      rule.block.children.forEach((part) => {
        if (part.type !== 'Declaration') return
        const name = part.property.toLowerCase()
        if (telling.has(name)) declarations[name] = valueOf(generate(part.value))
      })
      if (Object.keys(declarations).length) found.push([generate(rule.prelude).slice(0, 500), declarations])
    },
  })
  return found
}
