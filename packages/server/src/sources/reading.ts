import type { LimitedSource } from '@pebblestrand/core/sources'

/** What went wrong, in words for the person. */
export interface SourceFault {
  code: string
  message: string
  remedy: string
  /** Not before then is it asked again: the other side said so. */
  retryAt?: Date
}

/** A source as it was kept, to be asked only for what is new; of one that is new nothing but its address. */
export interface Known {
  id?: string
  url: string
  etag?: string | null
  lastModified?: string | null
  /** What its sort remembers from one reading to the next. */
  state?: Record<string, unknown> | null
  /** The account it is read by, where it is connected with one. */
  accountId?: string | null
}

/** A copy of a source, or of what changed in it. */
export interface Copy {
  kind: 'read'
  read: LimitedSource
  url: string
  /**
   * What the entries are: a `window` on the newest, which older ones drop out of; the `whole`, so that what is missing is
   * gone; or only the `changes` since it was read last.
   */
  extent: 'window' | 'whole' | 'changes'
  /** The same for the same content. */
  hash: string
  etag?: string | null
  lastModified?: string | null
  state?: Record<string, unknown> | null
  /** Why only what the source says of itself was read, and none of its items. */
  fault?: SourceFault
}

export type SourceReading =
  | Copy
  | { kind: 'unchanged'; state?: Record<string, unknown> }
  /** A web page, behind which sources may be; `fault` says why it is none itself. */
  | { kind: 'page'; html: string; url: string; fault: SourceFault }
  | { kind: 'fault'; fault: SourceFault }
