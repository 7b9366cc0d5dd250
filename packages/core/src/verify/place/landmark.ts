import type { Element } from 'domhandler'
import { ancestors } from '../page'

export type Landmark = 'banner' | 'navigation' | 'main' | 'complementary' | 'contentinfo' | 'article'

const landmarks = new Set(['banner', 'navigation', 'main', 'complementary', 'contentinfo', 'article'])

/** HTML elements with a landmark role of their own (HTML-AAM 1.0); header and footer only outside sectioning content. */
const elements: Record<string, Landmark> = {
  main: 'main',
  article: 'article',
  aside: 'complementary',
  nav: 'navigation',
}
const scoped: Record<string, Landmark> = { header: 'banner', footer: 'contentinfo' }
const sectioning = new Set(['article', 'aside', 'main', 'nav', 'section'])

/**
 * Which landmark an element is; null where it is none.
 * @param isShell whether an element only wraps the whole page, so that a header in it is the page's all the same
 */
export function landmarkOf(element: Element, isShell: (element: Element) => boolean): Landmark | null {
  const role = element.attribs.role?.trim().split(/\s+/)[0]?.toLowerCase()
  if (role) return landmarks.has(role) ? (role as Landmark) : null // a role takes the place of the element's own (WAI-ARIA 1.2)
  if (elements[element.name]) return elements[element.name]!
  if (!scoped[element.name]) return null
  for (const above of ancestors(element)) if (sectioning.has(above.name) && !isShell(above)) return null
  return scoped[element.name]!
}
