import type { Element } from 'domhandler'
import { readElement } from '../methods'
import { isElement } from './page'

/** The one element that all of another's content is in, scripts aside; null where there are more, or words beside it. */
export function onlyPart({ children }: Element): Element | null {
  const parts = children.filter((kid) =>
    isElement(kid) ? kid.name !== 'script' : kid.type === 'text' && kid.data.trim(),
  )
  const [first] = parts
  return parts.length === 1 && isElement(first!) ? first : null
}

/** A widget of ours, and what was put around it for it alone. */
export function isOurs(element: Element): boolean {
  for (let at: Element | null = element; at; at = onlyPart(at)) if (readElement(at)) return true
  return false
}

/** Those of a page's elements that are. @param elements in document order, so that from the end each is known before what holds it */
export function oursAmong(elements: readonly Element[]): Set<Element> {
  const ours = new Set<Element>()
  for (const element of [...elements].reverse()) {
    const within = readElement(element) ? element : onlyPart(element)
    if (within && (within === element || ours.has(within))) ours.add(element)
  }
  return ours
}
