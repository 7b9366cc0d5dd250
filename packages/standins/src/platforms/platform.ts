import type { RegionName, Site, SitePage } from '../sites/site'

/** What a box needs to know of the moment in which it is shown. */
export interface Showing {
  site: Site
  /** An editor looks at what is not published yet. */
  isPreview: boolean
  /** What its owners have set at the desk, by name. */
  settings: Readonly<Record<string, string>>
  /** What else stands in that region's fields, as sizes of a frame. */
  beside(name: string): string
}

/** One box of an editor, with the habits that editors of its kind have in the field. */
export interface Box {
  label: string
  /** `head` is the head of every page. */
  places: readonly (RegionName | 'head')[]
  /** What it keeps of what was pasted, when that is saved. */
  keep?(text: string): string | Promise<string>
  /** What the page shows of it. */
  show(text: string, about: Showing): string | Promise<string>
  /** More that is asked beside it, by name, with what stands there at first. */
  asks?: Record<string, { label: string; first: string }>
}

/** What a platform's desk calls its parts; a look of its own each. */
export interface DeskWords {
  desk: string
  pages: string
  shared: string
  save: string
  publish: string
  saved: string
  /** The link to the page as its editors have it. */
  preview: string
  published: string
  cacheMenu: string
  cacheButton: string
  cacheDone: string
  css: string
}

/** A kind of site platform: how its editor treats what is pasted, how it publishes, how its pages are built. */
export interface Platform {
  boxes: Record<string, Box>
  words: DeskWords
  /** What saving shows to visitors: nothing, the page, or nothing until the whole site is published. */
  publishing: 'by page' | 'at once' | 'by site'
  /** Settings of the site that its owners can change, by name, with their labels. */
  settings?: Record<string, string>
  styleSheet: string
  css?: string
  /** The body of a page; `region` gives what stands in one. */
  body(site: Site, page: SitePage, region: (name: RegionName) => string): string
  /** More for the head, beside what its owners put there. */
  head?(site: Site): string
  headers?(settings: Readonly<Record<string, string>>): Record<string, string>
  /** The whole page before it is stored, as optimisers change it. */
  finish?(html: string, settings: Readonly<Record<string, string>>): string
}
