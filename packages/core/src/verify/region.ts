import type { AnyNode, Element } from 'domhandler'
import { regionIds, type Region } from '../platforms'
import { matchesOf } from './match-selector'
import { ancestors, isElement, type Page } from './page'
import type { KnownBy } from './place/known-by'
import { regionsOf } from './place/regions'

/** Where something lies, and by what that is known; both null where nothing tells. */
export interface Place {
  region: Region | null
  by: KnownBy | null
}

/** The region a node lies in: by landmarks as a chain, by the page's structure, by the names of its parts, in this order. */
export function placeOf(page: Page, node: AnyNode): Place {
  return regionsOf(page).of(node) ?? { region: null, by: null }
}

/** The element that a region is, the first of them in the document; null where the page has none. */
export function elementOf(page: Page, region: Region): Element | null {
  const { labels } = regionsOf(page)
  for (const element of page.$('body *').toArray()) if (labels.get(element)?.region === region) return element
  return null
}

/** Whether a node lies in a placement; null where that cannot be told. */
export interface Lies extends Place {
  inside: boolean | null
}

/** The placement's mark decides where it has one, else the region. A mark that is not read decides nothing; no placement is anywhere. */
export function inPlacement(
  page: Page,
  node: AnyNode,
  placement: { region: Region; selector?: string | null } | null,
): Lies {
  const place = placeOf(page, node)
  if (!placement) return { inside: true, ...place }
  const matches = placement.selector ? matchesOf(page, placement.selector) : null
  // A mark that fits nothing any more says nothing: the theme has changed.
  if (matches?.size) {
    const within = isElement(node) ? [node, ...ancestors(node)] : [...ancestors(node)]
    const inside = within.some((element) => matches.has(element))
    return inside ? { inside, region: placement.region, by: 'mark' } : { inside, ...place }
  }
  return { inside: place.region === null ? null : place.region === placement.region, ...place }
}

/** Whether a placement's mark fits nothing on a page. */
export const isMarkGone = (page: Page, selector: string | null | undefined): boolean =>
  Boolean(selector) && matchesOf(page, selector!)?.size === 0

export const isRegion = (value: string): value is Region => (regionIds as string[]).includes(value)
