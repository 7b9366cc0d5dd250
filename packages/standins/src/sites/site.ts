import type { PlatformId } from '../platforms/list'

/** Regions that a simulated site's editor can fill. */
export const regionNames = ['header', 'main', 'sidebar', 'footer'] as const
export type RegionName = (typeof regionNames)[number]

/** A page: its own words are fixed, its regions are edited at the desk. */
export interface SitePage {
  path: string
  title: string
  paragraphs: string[]
  /** BCP 47, where it is not English; and which way it is read. */
  language?: string
  direction?: 'rtl'
  /** Said 2000 times, out of sight: a page of 400 kB. */
  filler?: string
}

export interface Theme {
  /** Families that ship with the stand-ins; see fonts.ts. */
  heading: string
  body: string
  ink: string
  ground: string
  accent: string
  band: string
  /** Px. */
  contentWidth: number
  sidebarWidth: number
  sidebarAt: 'left' | 'right'
  head: 'band' | 'plain' | 'centred'
}

export interface Site {
  host: string
  name: string
  motto: string
  /** What it is built with; see platforms/. */
  platform: PlatformId
  theme: Theme
  cacheMinutes: number
  pages: SitePage[]
}
