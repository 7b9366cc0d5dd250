import type { AnyNode, Element } from 'domhandler'
import { elementsNamed, isElement, type Page } from '../page'
import { columnsOf, type Column } from './columns'
import { declared } from './declared'
import { flow, skipped } from './element-names'
import { measures, NOTHING, type Measure } from './measure'
import { OVER_THE_PAGE } from './names'
import { hasRights } from './rights'

/** Enough to read: fewer letters are a line, not a text. */
export const A_TEXT = 120

/** The children of an element that make something of the page, and how they lie. */
export interface Layout {
  kids: Element[]
  at: Map<Element, number>
  /** Index of the one that holds the content; -1 where none does. */
  core: number
  columns(): Column[]
}

/** How a page is laid out: what wraps it, what holds its content, and what else there is beside that. */
export class PageLayout {
  /** Elements that only wrap the page, from the body inwards. */
  readonly shells = new Set<Element>()
  /** What holds the content; null for a page without a body. */
  core: Element | null = null
  readonly body: Element | null
  private readonly sizes: Map<Element, Measure>
  private readonly layouts = new Map<Element, Layout>()
  /** What holds the content, and all that this stands in. */
  private readonly coreChain = new Set<AnyNode>()

  constructor(private readonly page: Page) {
    this.sizes = measures(page)
    this.body = elementsNamed(page, 'body')[0] ?? null
    if (!this.body) return
    this.core = this.coreOf(this.body)
    for (let at: AnyNode | null = this.core; at; at = at.parent as AnyNode | null) this.coreChain.add(at)
  }

  size = (element: Element): Measure => this.sizes.get(element) ?? NOTHING

  holdsCore = (element: Element): boolean => this.coreChain.has(element)

  layout(parent: Element): Layout {
    let known = this.layouts.get(parent)
    if (!known) {
      const kids = this.findKids(parent)
      let columns: Column[] | null = null
      known = {
        kids,
        at: new Map(kids.map((kid, i) => [kid, i])),
        core: kids.findIndex(this.holdsCore),
        columns: () => (columns ??= kids.length > 1 ? columnsOf(this.page, parent, kids) : []),
      }
      // Until the content is found, nothing can be kept that tells where it is.
      if (this.core) this.layouts.set(parent, known)
    }
    return known
  }

  kids = (parent: Element): Element[] => this.layout(parent).kids

  /** Children that make something of the page: with words, pictures or fields, and not over it. */
  private findKids(parent: Element): Element[] {
    return parent.children.filter((child): child is Element => {
      if (!isElement(child) || skipped.has(child.name)) return false
      const size = this.size(child)
      if (!(size.prose + size.linked + size.things + size.links)) return false
      return !this.isOver(child)
    })
  }

  private isOver(element: Element): boolean {
    const { id = '', class: classes = '', role } = element.attribs
    if (role === 'dialog' || role === 'alertdialog' || element.name === 'dialog') return true
    if (element.attribs.hidden !== undefined || declared(this.page, element).display === 'none') return true
    return OVER_THE_PAGE.test(id) || classes.split(/\s+/).some((name) => OVER_THE_PAGE.test(name))
  }

  /** Words that are read, not led on by: of an element that is no menu nor the page's end. */
  private score(element: Element): number {
    const size = this.size(element)
    if (element.name === 'footer' || element.name === 'nav' || element.name === 'aside') return size.prose / 10
    const text = size.prose + size.titles * 80 + (element.name === 'article' ? 200 : 0)
    return size.prose < 400 && hasRights(element) ? text / 4 : text
  }

  /** The element that holds what the page is about. On the way to it, what only wraps the page is told apart. */
  private coreOf(body: Element): Element {
    const mains = [...this.sizes].flatMap(([element, { prose, things }]) =>
      (element.name === 'main' || element.attribs.role?.toLowerCase() === 'main') && (prose || things) ? [element] : [],
    )
    this.shells.add(body)
    let at = body
    for (let depth = 0; depth < 60; depth++) {
      const kids = this.kids(at)
      if (kids.length !== 1 || flow.has(kids[0]!.name)) break
      at = kids[0]!
      this.shells.add(at)
    }
    const main = mains.find((e) => !this.shells.has(e))
    if (main) return main
    for (let depth = 0; depth < 60; depth++) {
      const kids = this.kids(at)
      if (!kids.length || this.isFlow(at, kids)) break
      at = kids.reduce((best, kid) => (this.score(kid) > this.score(best) ? kid : best))
    }
    return at
  }

  /** Paragraphs and headings one after another: a text, not a layout. */
  isFlow(parent: Element, kids: Element[]): boolean {
    const own = parent.children.some((child) => child.type === 'text' && child.data.trim().length > 30)
    const paragraphs = kids.filter((kid) => flow.has(kid.name) && !this.leads(kid)).length
    return own || (paragraphs > 0 && paragraphs * 2 >= kids.length)
  }

  /** Nothing of the page stands after it. */
  isLast(element: Element): boolean {
    for (let at: AnyNode = element; at.parent; at = at.parent as AnyNode) {
      if (!isElement(at.parent as AnyNode)) break
      const { kids, at: places } = this.layout(at.parent as Element)
      if (kids.length && kids.at(-1) !== at && places.has(at as Element)) return false
    }
    return true
  }

  /** Nothing of the page stands before it. */
  isFirst(element: Element): boolean {
    for (let at: AnyNode = element; at.parent; at = at.parent as AnyNode) {
      if (!isElement(at.parent as AnyNode)) break
      const { kids, at: places } = this.layout(at.parent as Element)
      if (kids.length && kids[0] !== at && places.has(at as Element)) return false
    }
    return true
  }

  /** Links before all else. */
  leads(kid: Element): boolean {
    const { prose, linked, links } = this.size(kid)
    return links >= 2 && linked >= prose * 0.5
  }
}
