import type { Element } from 'domhandler'
import { isElement, type Page } from './page'
import { readSelector, type Link, type Place, type Selector } from './selector'

const known = new WeakMap<Page, Map<string, Set<Element>>>()

/** All elements of a page that a selector matches; found once for a page. Null for one that `readSelector` does not read. */
export function matchesOf(page: Page, text: string): Set<Element> | null {
  const ofPage = known.get(page) ?? new Map<string, Set<Element>>()
  known.set(page, ofPage)
  if (!ofPage.has(text)) {
    const selector = readSelector(text)
    if (!selector) return null
    ofPage.set(text, inOnePass(page, selector))
  }
  return ofPage.get(text)!
}

/** For each chain a number, whose bit i says that the chain's first i + 1 links are matched up to somewhere. */
type Progress = number[]
const or = (a: Progress, b: Progress): Progress => a.map((bits, i) => bits | b[i]!)

/** What an element's surroundings have matched so far. */
interface Around {
  ancestors: Progress
  parent: Progress
}

/** Each element is looked at once: what is matched above and before it is carried along. */
function inOnePass(page: Page, chains: Selector): Set<Element> {
  const none: Progress = chains.map(() => 0)
  const matched = new Set<Element>()
  const open: { children: Element[]; around: Around }[] = []

  const level = (children: Element[], around: Around) => {
    const places = placesOf(children)
    let [previous, before] = [none, none]
    for (const [i, element] of children.entries()) {
      const own = chains.map((links, c) =>
        progress(links, element, places[i]!, [around.ancestors[c]!, around.parent[c]!, previous[c]!, before[c]!]),
      )
      if (chains.some((links, c) => own[c]! & (1 << (links.length - 1)))) matched.add(element)
      const inner = element.children.filter(isElement)
      if (inner.length) open.push({ children: inner, around: { ancestors: or(around.ancestors, own), parent: own } })
      ;[previous, before] = [own, or(before, own)]
    }
  }
  level(page.$.root()[0]!.children.filter(isElement), { ancestors: none, parent: none })
  for (let next = open.pop(); next; next = open.pop()) level(next.children, next.around)
  return matched
}

function progress(
  links: Link[],
  element: Element,
  place: Place,
  [ancestors, parent, previous, before]: number[],
): number {
  let bits = 0
  for (const [i, { combinator, fits }] of links.entries()) {
    const from = { first: 1, descendant: ancestors!, child: parent!, adjacent: previous!, sibling: before! }[combinator]
    if ((combinator === 'first' || from & (1 << (i - 1))) && fits(element, place)) bits |= 1 << i
  }
  return bits
}

function placesOf(children: readonly Element[]): Place[] {
  const counts = new Map<string, number>()
  const places = children.map(({ name }, i) => {
    counts.set(name, (counts.get(name) ?? 0) + 1)
    return { index: i + 1, indexOfType: counts.get(name)!, count: children.length, countOfType: 0 }
  })
  for (const [i, { name }] of children.entries()) places[i]!.countOfType = counts.get(name)!
  return places
}
