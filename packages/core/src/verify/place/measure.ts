import type { Element } from 'domhandler'
import { MARK } from '../../wire'
import { isElement, walk, type Page } from '../page'

/** What stands in an element, all below it counted. */
export interface Measure {
  /** Letters that are no link's. */
  prose: number
  /** Letters in links, and the links. */
  linked: number
  links: number
  /** Pictures, frames, fields: what is seen without letters. */
  things: number
  /** Main headings, and headings at all. */
  titles: number
  headings: number
}

/** Of an element that is not shown. */
export const NOTHING: Readonly<Measure> = {
  prose: 0,
  linked: 0,
  links: 0,
  things: 0,
  titles: 0,
  headings: 0,
}

const unseen = new Set([
  'script',
  'style',
  'template',
  'noscript',
  'head',
  'title',
  'meta',
  'link',
  'base',
  'param',
  'source',
])
const things = new Set([
  'img',
  'iframe',
  'video',
  'audio',
  'object',
  'embed',
  'svg',
  'canvas',
  'input',
  'select',
  'textarea',
  'button',
  'picture',
])
const heading = /^h[1-6]$/

const known = new WeakMap<Page, Map<Element, Measure>>()

/** What stands in each element of a page; worked out once. What is ours counts as one thing. */
export function measures(page: Page): Map<Element, Measure> {
  let all = known.get(page)
  if (!all) known.set(page, (all = measureAll(page)))
  return all
}

interface Around {
  /** Of the element that is gone through; null outside any. */
  own: Measure | null
  linked: boolean
}

function measureAll(page: Page): Map<Element, Measure> {
  const all = new Map<Element, Measure>()
  walk<Around>(
    page,
    { own: null, linked: false },
    (element, { linked }) => {
      const own = element.attribs[MARK] === undefined ? all.get(element) : undefined
      return own ? { own, linked: linked || element.name === 'a' } : null
    },
    (node, { own, linked }) => {
      if (node.type === 'text') {
        if (own) addText(own, node.data, linked)
      } else if (isElement(node) && !unseen.has(node.name)) all.set(node, measureAlone(node))
    },
  )
  // What is within comes behind, so from the end each is whole before it is added to what it stands in.
  for (const [element, own] of [...all].reverse()) {
    const parent = all.get(element.parent as Element)
    if (parent) addUp(parent, own)
  }
  return all
}

function measureAlone({ name, attribs }: Element): Measure {
  const own = { ...NOTHING }
  if (attribs[MARK] !== undefined || things.has(name)) own.things++
  if (heading.test(name)) own.headings++
  if (name === 'h1') own.titles++
  if (name === 'a') own.links++
  return own
}

function addText(to: Measure, text: string, linked: boolean): void {
  const words = text.trim()
  if (!words) return
  if (linked) to.linked += words.length
  else to.prose += words.length
}

function addUp(to: Measure, from: Measure): void {
  to.prose += from.prose
  to.linked += from.linked
  to.links += from.links
  to.things += from.things
  to.titles += from.titles
  to.headings += from.headings
}
