import type { Element } from 'domhandler'
import { ancestors, type Page } from './page'
import { declared } from './place/declared'

/** What keeps an element from being seen, as a clause; null where nothing in the page's own markup does. The page as a whole is not asked: scripts show it. */
export function hiddenBy(page: Page, element: Element): string | null {
  for (const at of [element, ...ancestors(element)]) {
    if (at.name === 'body' || at.name === 'html') break
    if (at.attribs.hidden !== undefined && at.attribs.hidden !== 'until-found') return `a hidden ${at.name} element`
    const { display, visibility } = declared(page, at)
    if (display === 'none') return `${around(at)} that is not displayed (display: none)`
    if (visibility === 'hidden') return `${around(at)} that is not visible (visibility: hidden)`
  }
  return null
}

const around = ({ name, attribs }: Element) =>
  attribs.id ? `the ${name} “${attribs.id.slice(0, 60)}”` : `a ${name} element`
