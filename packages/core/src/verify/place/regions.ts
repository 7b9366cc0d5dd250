import type { AnyNode, Element } from 'domhandler'
import type { Region } from '../../platforms'
import { isElement, type Page } from '../page'
import { shareOf, type Column } from './columns'
import { declared } from './declared'
import type { KnownBy, Label } from './known-by'
import { landmarkOf } from './landmark'
import { hasRights } from './rights'
import { namedBy } from './names'
import { flow, inline, skipped } from './element-names'
import { A_TEXT, PageLayout } from './page-layout'
import { NOTHING_TOLD, panelBeside, panelWithin } from './panel'

/** What is settled above an element. */
interface Around {
  label: Label | null
  /** Within the content, beside which other things stand. */
  inContent: boolean
}

/** What stands in a line, or opens: no part of a layout. */
const noPart = new Set([...inline, 'details', 'summary'])

/** Letters a link, of links that are numbers for the most part. */
const NUMBERED = 4

/** Of the page's width: what is no wider stands beside something. */
const NARROW = 0.35

/** Regions of a page: for each element that begins one, which. What lies in none has none. */
export class Regions {
  /** Where a region begins. */
  readonly labels = new Map<Element, Label>()
  private readonly page: PageLayout

  constructor(private readonly source: Page) {
    this.page = new PageLayout(source)
    if (this.page.body) this.label(this.page.body)
  }

  /** The region of whatever stands in an element. */
  of(node: AnyNode): Label | null {
    for (let at: AnyNode | null = node; at; at = at.parent as AnyNode | null) {
      const label = isElement(at) ? this.labels.get(at) : undefined
      if (label) return label
    }
    return null
  }

  private label(body: Element): void {
    const open: { element: Element; around: Around }[] = [{ element: body, around: { label: null, inContent: false } }]
    for (let next = open.pop(); next; next = open.pop()) {
      const { element, around } = next
      const settled = around.label && around.label.region !== 'main'
      const order = settled ? NOTHING_TOLD : this.orderOf(element, around)
      for (const child of element.children) {
        if (!isElement(child) || skipped.has(child.name)) continue
        // What stands in a header, a footer or a sidebar belongs to it, whatever it is.
        const inner = settled ? around : this.decide(child, order, around)
        if (inner.label && inner.label !== around.label) this.labels.set(child, inner.label)
        if (!settled) open.push({ element: child, around: inner })
      }
    }
  }

  /** What a child's region is, if anything tells it; else that of what it stands in. */
  private decide(child: Element, order: ReadonlyMap<Element, Label>, around: Around): Around {
    const { label } = around
    const said =
      this.byLandmark(child, around) ?? this.besideCore(child) ?? this.byName(child, around) ?? order.get(child) ?? null
    // What only holds the content may hold a column beside it as well.
    const inContent =
      around.inContent || (said?.region === 'main' && (child === this.page.core || !this.page.holdsCore(child)))
    return { label: said ?? label, inContent }
  }

  private byLandmark(child: Element, around: Around): Label | null {
    const known = (region: Region): Label => ({ region, by: 'landmarks' })
    switch (landmarkOf(child, (e) => this.page.shells.has(e))) {
      case 'banner':
        return around.inContent && child.attribs.role === undefined ? null : known('header')
      case 'contentinfo':
        return known('footer')
      case 'main':
        return known('main')
      case 'article':
        return around.label ? null : known('main')
      case 'complementary':
        return this.complementary(child, around)
      case 'navigation':
        return this.navigation(child, around)
      default:
        return null
    }
  }

  private complementary(child: Element, around: Around): Label | null {
    const { kids, at: places } = this.page.layout(child.parent as Element)
    const at = places.get(child) ?? -1
    const named = namedBy(child)
    // A pull-quote or a note amid a text is part of it.
    if (around.inContent && named !== 'sidebar') {
      const flows = kids.filter((kid) => kid.name === 'p' || kid.name === 'blockquote').length
      if (flows && !this.isBeside(child)) return null
    }
    // A notice above the header is the header's.
    const banner = kids.findIndex((kid) => kid.name === 'header' || kid.attribs.role === 'banner')
    if (at >= 0 && banner > at) return { region: 'header', by: 'landmarks' }
    return { region: 'sidebar', by: 'landmarks' }
  }

  private isBeside(child: Element): boolean {
    const { float, position } = declared(this.source, child)
    return float === 'left' || float === 'right' || position === 'sticky' || position === 'fixed'
  }

  private navigation(child: Element, around: Around): Label | null {
    // The page's first menu is its header's, whatever it was put into.
    if (around.inContent)
      return this.page.leads(child) && this.page.isFirst(child) ? { region: 'header', by: 'landmarks' } : null
    const known = (region: Region, by: KnownBy = 'landmarks'): Label => ({ region, by })
    const named = namedBy(child)
    if (named === 'sidebar' || named === 'footer') return known(named)
    const parent = child.parent as Element
    const share = shareOf(this.source, child)
    if (share !== null && share <= NARROW) return known('sidebar', 'structure')
    const beside = this.besideCore(child)
    if (beside) return beside
    const { kids, at: places, core } = this.page.layout(parent)
    const at = places.get(child) ?? -1
    if (core < 0 || at < core) return known('header')
    if (!this.page.shells.has(parent) && this.isPager(child)) return known('main', 'structure')
    const isBand = this.page.shells.has(parent) && !kids.slice(at + 1).some((kid) => this.page.size(kid).prose > A_TEXT)
    return (isBand || this.page.isLast(child)) && this.page.size(child).headings < 2
      ? known('footer')
      : known('sidebar')
  }

  /** Links to the piece before and the next one, or to pages by their numbers: the end of a text. */
  private isPager(child: Element): boolean {
    const { links, linked, headings } = this.page.size(child)
    return !headings && (links <= 2 || linked <= links * NUMBERED)
  }

  /** A column beside the one that holds the content is a sidebar, where that one is the wider. */
  private besideCore(child: Element): Label | null {
    if (!this.page.holdsCore(child.parent as Element)) return null
    const layout = this.page.layout(child.parent as Element)
    const at = layout.at.get(child)
    if (at === undefined || layout.core < 0) return null
    const row = layout.columns()
    const [own, core] = [row[at], row[layout.core]]
    if (!own || !core || own.row !== core.row || own.row < 0) return null
    const known = (region: Region): Label => ({ region, by: 'structure' })
    const [mine, theirs] = [this.page.size(child), this.page.size(core.element)]
    const rest = row.filter((one) => one.row === core.row && one !== core)
    const isWider = (share: number | null) =>
      share !== null && core.share !== null && core.share >= 0.45 && share <= core.share * 0.75
    if (own === core) return rest.some(({ share }) => isWider(share)) ? known('main') : null
    if (isWider(own.share)) return known('sidebar')
    const isFuller = theirs.prose > A_TEXT ? mine.prose < theirs.prose * 0.4 : theirs.titles > 0 && !mine.titles
    if (own.share === null && core.share === null && isFuller) return known('sidebar')
    if (own.share !== null && core.share === null && own.share <= 0.4) return known('sidebar')
    return null
  }

  private byName(child: Element, around: Around): Label | null {
    if (this.page.shells.has(child) || noPart.has(child.name)) return null
    // A paragraph or a list is a part of the layout only where its id says so: classes of texts are many.
    const named = namedBy(child, flow.has(child.name))
    if (!named) return null
    const label: Label = { region: named === 'menu' ? 'header' : named, by: 'words' }
    // Within the content, only a column of its own is something else.
    if (around.inContent) {
      if (label.region === 'header') return this.page.leads(child) && this.page.isFirst(child) ? label : null
      return label.region === 'sidebar' && !this.isAmidText(child) ? label : null
    }
    // A line of links is written at both ends of a page, and named alike.
    if (label.region === 'header' && this.page.isLast(child) && !this.page.isFirst(child))
      return { region: 'footer', by: 'structure' }
    if (label.region === 'main' && around.label) return null
    return label
  }

  /** Text before it and after it: a box in a text, whatever it is called. */
  private isAmidText(child: Element): boolean {
    const { kids, at: places } = this.page.layout(child.parent as Element)
    const at = places.get(child) ?? -1
    const isText = (kid: Element) => this.page.size(kid).prose > 40
    if (kids.slice(0, at).some(isText) && kids.slice(at + 1).some(isText)) return true
    // Deep in the content, too: only what stands beside most of it is a column.
    const all = this.page.core ? this.page.size(this.page.core).prose : 0
    return (
      all > A_TEXT &&
      !this.page.holdsCore(child.parent as Element) &&
      !kids.some((kid) => kid !== child && this.page.size(kid).prose > all / 2)
    )
  }

  /** What the order of a layout's blocks says: what stands before the content, and what after it. */
  private orderOf(parent: Element, around: Around): ReadonlyMap<Element, Label> {
    if (around.inContent) return panelWithin(this.page, parent)
    const { kids, core } = this.page.layout(parent)
    const said = new Map<Element, Label>()
    if (parent === this.page.core || this.page.isFlow(parent, kids)) {
      // A page without a layout is its text.
      if (this.page.shells.has(parent) && kids.some(({ name }) => name === 'p'))
        for (const kid of kids) if (flow.has(kid.name)) said.set(kid, { region: 'main', by: 'structure' })
      const [top, last] = [kids[0], kids.at(-1)]
      if (top && this.page.shells.has(parent) && !flow.has(top.name) && this.page.leads(top))
        said.set(top, { region: 'header', by: 'structure' })
      if (last && kids.length > 2 && !flow.has(last.name) && hasRights(last) && this.page.isLast(last))
        said.set(last, { region: 'footer', by: 'structure' })
      return said
    }
    if (core < 0) return said
    const known = (region: Region): Label => ({ region, by: 'structure' })
    const isTop = this.page.shells.has(parent)
    const first = this.lastOfTop(kids, core)
    const last = this.firstOfEnd(kids, core, this.page.layout(parent).columns())
    for (const [i, kid] of kids.entries()) {
      const panel = panelBeside(this.page, kids, i, core, isTop)
      if (i === core) {
        if (!this.page.shells.has(kid)) said.set(kid, known('main'))
      } else if (panel) said.set(kid, known(panel))
      else if (!isTop) {
        // A page whose menu stands beside all else has its top and its end within what is beside it.
        if (i > core && hasRights(kid) && this.page.isLast(kid)) said.set(kid, known('footer'))
        else if (i <= first && this.page.leads(kid) && this.page.isFirst(kid)) said.set(kid, known('header'))
      } else if (i <= first) said.set(kid, known('header'))
      else if (i >= last) said.set(kid, known('footer'))
      else if (this.page.size(kid).prose > 0 || this.page.size(kid).things) said.set(kid, known('main'))
    }
    return said
  }

  /** Index of the last block of the top: a line of links or of a name, before the content. */
  private lastOfTop(kids: Element[], core: number): number {
    let last = -1
    for (let i = 0; i < core; i++) {
      const { prose, titles } = this.page.size(kids[i]!)
      const leads = this.page.leads(kids[i]!)
      if (prose > A_TEXT && !leads) break
      if (leads || i === 0) last = i
      else if (titles) break
    }
    return last
  }

  /** Index of the first block of the page's end. */
  private firstOfEnd(kids: Element[], core: number, row: Column[]): number {
    const end = kids.length - 1
    if (end <= core) return kids.length
    const ends = (i: number) => {
      const { prose, linked, links, headings } = this.page.size(kids[i]!)
      if (hasRights(kids[i]!)) return true
      if (kids[i]!.name === 'p') return false
      const beside = row[i] && row[core] && row[i]!.row === row[core]!.row && row[i]!.share !== null
      if (beside) return false
      return i === end && (links >= 3 && linked >= prose * 0.5 ? true : prose + linked < A_TEXT && headings < 2)
    }
    let first = kids.length
    for (let i = end; i > core && ends(i); i--) first = i
    return first
  }
}

const known = new WeakMap<Page, Regions>()

/** The regions of a page; worked out once. */
export function regionsOf(page: Page): Regions {
  let regions = known.get(page)
  if (!regions) known.set(page, (regions = new Regions(page)))
  return regions
}
