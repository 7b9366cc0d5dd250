import type { AnyNode, Element } from 'domhandler'
import { MARK } from '../../wire'
import { isElement, type Page } from '../page'

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

interface Open {
  node: AnyNode
  linked: boolean
  entered: boolean
}

function measureAll(page: Page): Map<Element, Measure> {
  const all = new Map<Element, Measure>()
  const open: Open[] = page.$.root()[0]!.children.map((node) => ({ node, linked: false, entered: false }))
  open.reverse()
  for (let next = open.pop(); next; next = open.pop()) {
    const { node, linked, entered } = next
    const parent = isElement(node.parent as AnyNode) ? all.get(node.parent as Element) : undefined
    if (node.type === 'text') {
      if (parent) addText(parent, node.data, linked)
    } else if (isElement(node) && !unseen.has(node.name)) {
      if (entered) {
        if (parent) addUp(parent, all.get(node)!)
        continue
      }
      const own = { ...NOTHING }
      all.set(node, own)
      if (node.attribs[MARK] !== undefined || things.has(node.name)) own.things++
      if (heading.test(node.name)) own.headings++
      if (node.name === 'h1') own.titles++
      if (node.name === 'a') own.links++
      open.push({ ...next, entered: true })
      if (node.attribs[MARK] !== undefined) continue
      for (let i = node.children.length - 1; i >= 0; i--)
        open.push({ node: node.children[i]!, linked: linked || node.name === 'a', entered: false })
    }
  }
  return all
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
