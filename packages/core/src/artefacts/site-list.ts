import { reservedHeight, type Heights } from '../methods'
import { patternSource } from '../page-patterns'

/** One widget that a site's tag brings. */
export interface Brought {
  /** Public id of its install. */
  id: string
  /** Path or pattern of the pages it is planned for. */
  path: string
  /** Of the element it is put into; null for what stands over the page. */
  selector: string | null
  /** Px that it will take. */
  heights: Heights | null
}

/** What a site's tag brings, as it is served. */
export interface SiteList {
  v: 1
  shows: { id: string; on: string; at: string | null; room: string }[]
}

/** Patterns are written as regular expressions here, once, so that a visitor's browser needs nothing but to try them. */
export const siteListOf = (brought: readonly Brought[]): SiteList => ({
  v: 1,
  shows: brought.map(({ id, path, selector, heights }) => ({
    id,
    on: patternSource(path),
    at: selector,
    room: selector && heights ? reservedHeight(heights) : '',
  })),
})
