import type { LimitedSource } from '@pebblestrand/core/sources'

/** What went wrong, in words for the person. */
export interface SourceFault {
  code: string
  message: string
  remedy: string
}

/** What was sent with the copy that is there, to be asked only for what is new. */
export interface Known {
  etag?: string | null
  lastModified?: string | null
}

export type SourceReading =
  | {
      kind: 'read'
      read: LimitedSource
      url: string
      etag: string | null
      lastModified: string | null
      bytes: Uint8Array
    }
  | { kind: 'unchanged' }
  /** A web page, behind which sources may be. */
  | { kind: 'page'; html: string; url: string }
  | { kind: 'fault'; fault: SourceFault }
