import type { CheerioAPI } from 'cheerio'
import type { AnyNode, Element } from 'domhandler'
import { textWithin } from '../../html'
import { absolute } from '../links'
import { typeName, type Thing, type Value } from './thing'

/** The attributes by which one of the two ways marks things up. */
interface Syntax {
  /** Marks an element as a thing; its value is the type, or `type` has that. */
  scope(element: Element): string[] | null
  /** Names of the properties that an element is of the thing around it. */
  names(element: Element): string[]
  /** A value that is written out. */
  content(element: Element): string | undefined
}

/** HTML standard, section 5.2 (microdata). */
export const microdata: Syntax = {
  scope: ({ attribs }) => (attribs.itemscope === undefined ? null : words(attribs.itemtype)),
  names: ({ attribs }) => words(attribs.itemprop),
  content: ({ attribs }) => attribs.content,
}

/** RDFa Lite 1.1, section 2. */
export const rdfa: Syntax = {
  scope: ({ attribs }) => (attribs.typeof === undefined ? null : words(attribs.typeof)),
  names: ({ attribs }) => words(attribs.property),
  content: ({ attribs }) => attribs.content,
}

const words = (value: string | undefined) => (value ?? '').split(/\s+/).filter(Boolean)

/** Letters of one property. */
const MOST_TEXT = 100_000
/** Nodes that are gone through: what is referred to from many places is met as often. */
const MOST_NODES = 600_000

interface Open {
  node: AnyNode
  /** What the node's properties belong to. */
  thing: Thing | null
}

/** The things that a page's elements are marked up as, the outermost ones; those within are their properties. */
export function markedUpThings($: CheerioAPI, syntax: Syntax, base: string | null): Thing[] {
  const things: Thing[] = []
  const byId = new Map<string, Element>()
  /** A thing that refers to what it stands in is met once. */
  const met = new Set<Element>()
  const open: Open[] = $.root()[0]!.children.map((node) => ({ node, thing: null }))
  if (syntax === microdata) $('[id]').each((_, element) => void byId.set(element.attribs.id!, element))
  open.reverse()
  let nodes = 0
  for (let next = open.pop(); next && ++nodes < MOST_NODES; next = open.pop()) {
    const { node } = next
    let { thing } = next
    if (node.type !== 'tag' && node.type !== 'script' && node.type !== 'style') continue
    const element = node as Element
    const types = syntax.scope(element)
    if (types && met.has(element)) continue
    if (types) met.add(element)
    const names = thing ? syntax.names(element) : []
    const own: Thing | null = types && { types: types.map(typeName), properties: {} }
    for (const name of names) (thing!.properties[typeName(name)] ??= []).push(own ?? valueOf(syntax, element, base))
    if (own) {
      if (!names.length) things.push(own)
      thing = own
      // Properties that stand elsewhere on the page (itemref).
      for (const id of words(element.attribs.itemref).slice(0, 20)) {
        const referred = byId.get(id)
        if (referred) open.push({ node: referred, thing: own })
      }
    }
    for (let i = element.children.length - 1; i >= 0; i--) open.push({ node: element.children[i]!, thing })
  }
  return things
}

const addresses: Record<string, string> = {
  a: 'href',
  area: 'href',
  link: 'href',
  img: 'src',
  audio: 'src',
  video: 'src',
  source: 'src',
  iframe: 'src',
  embed: 'src',
  object: 'data',
}

/** The value of a property (HTML standard, section 5.2.4). */
function valueOf(syntax: Syntax, element: Element, base: string | null): Value {
  const written = syntax.content(element)
  if (written !== undefined) return written
  const attribute = addresses[element.name]
  if (attribute) return absolute(element.attribs[attribute], base) ?? ''
  if (element.name === 'time' && element.attribs.datetime) return element.attribs.datetime
  if (element.name === 'data' || element.name === 'meter') return element.attribs.value ?? ''
  return textWithin(element, MOST_TEXT)
}
