import type { Element } from 'domhandler'
import { readElement } from '../methods'
import { isElement } from './page'

/** A widget of ours, and what was put around it for it alone. */
export function isOurs(element: Element): boolean {
  for (let at: Element = element; ;) {
    if (readElement(at)) return true
    const kids = at.children.filter((kid) =>
      isElement(kid) ? kid.name !== 'script' : kid.type === 'text' && kid.data.trim(),
    )
    if (kids.length !== 1 || !isElement(kids[0]!)) return false
    at = kids[0]
  }
}
