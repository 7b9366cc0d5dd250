import type { Device } from './devices'

/** Who visits, as far as a browser tells it. */
export interface Visitor {
  device: Device
  /** BCP 47, the most wanted first. */
  languages: readonly string[]
  /** ISO 3166; null where nobody knows. */
  country: string | null
}

/** Where they are. */
export interface Arrival {
  /** Path of the page, and what follows `?`, without it. */
  path: string
  query: string
  /** What follows `#`; '' for nothing. */
  fragment: string
  /** Address that led here; '' where none is told. */
  referrer: string
  /** IANA. */
  timeZone: string
}

/** What was done on the page so far. */
export interface Progress {
  /** Since it was loaded, and since anything was last done. */
  seconds: number
  idleSeconds: number
  /** The farthest, of the page's length, 0 to 100. */
  scrolled: number
  reached: readonly string[]
  clicked: readonly string[]
  /** The pointer has left upward, or on a phone the page was scrolled up quickly or come back to. */
  isLeaving: boolean
  /** Ids of what a script of the site has asked for. */
  called: readonly string[]
  fragment: string
  /** Scrolled, clicked, typed, moved. */
  hasDone: boolean
}

export const NOTHING_DONE: Progress = {
  seconds: 0,
  idleSeconds: 0,
  scrolled: 0,
  reached: [],
  clicked: [],
  isLeaving: false,
  called: [],
  fragment: '',
  hasDone: false,
}
