import type { AnyNode, Element } from 'domhandler'
import { isElement } from '../page'

/** The sign of rights, and what links to the small print are called in sixteen languages. Common practice, no published list. */
const RIGHTS =
  /©|\(c\)\s*\d{4}|copyright|all rights|imprint|impressum|datenschutz|privacy|mentions l|confidentialit|privacidad?e?|aviso legal|note legali|termos|voorwaarden|integritet|personuppgift|privatliv|polityka|prywatno|podmínky|soukrom|gizlilik|tietosuoja|απόρρητο|όροι|конфіденц|умови|プライバシー|利用規約/i

/** Elements that are looked through, and letters of one text that is no small print any more. */
const MOST = { nodes: 3000, letters: 400 }

/** Whether an element has what only a footer has. A footer in it has that for itself: what holds it is no footer by that. */
export function hasRights(element: Element): boolean {
  const open: AnyNode[] = [element]
  for (let next = open.pop(), nodes = 0; next && ++nodes < MOST.nodes; next = open.pop()) {
    if (next.type === 'text') {
      if (next.data.length < MOST.letters && RIGHTS.test(next.data)) return true
    } else if (
      isElement(next) &&
      (next === element || next.name !== 'footer') &&
      next.name !== 'script' &&
      next.name !== 'style'
    )
      open.push(...next.children)
  }
  return false
}
