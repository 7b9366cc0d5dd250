import type { Entry } from '../items'
import type { Given, SourceFacts } from './facts'
import type { SourceErrorCode } from './source-error'

/** What a document of a source holds, after reading; facts that it does not tell may be left out. */
export interface ReadSource extends Partial<SourceFacts> {
  /** The document's own format, as its kind names it. */
  format: string
  title: string
  /** The page it belongs to. */
  link: string | null
  language: string | null
  /** In the order of the document, doubles by key left out. */
  entries: Entry[]
}

/** An address behind which a source may be. */
export interface SourceCandidate {
  url: string
  title: string
  /** How it was found: `declared` by the page, `linked` from its text, or a `usual` place to try. */
  how: 'declared' | 'linked' | 'usual'
}

/** What pasted text means to a sort of source: an address to open, an id its service knows, or words to search for. */
export type Meant = { what: 'address'; address: string } | { what: 'id'; id: string } | { what: 'words'; words: string }

/** Outside services that are asked by an API; where each is, is the server's to know. */
export const serviceNames = ['reviews', 'photos'] as const
export type ServiceName = (typeof serviceNames)[number]

/** A sort of source: what pasted text means to it, and how its bytes become items. The server's side of it is a connector. */
export interface SourceKind {
  id: string
  name: string
  /** What its items are, and facts that are wanted without any: offered to kinds of widgets that show such. */
  gives: readonly Given[]
  /** Minutes between two readings, where nobody says otherwise; null for one that is written here and never read. */
  interval: number | null
  /** Most items of one source that are kept. */
  keeps: number
  /** What pasted text means, where this sort can be behind it; null where not. */
  recognise(pasted: string): Meant | null
  /** Ids that a web page names, its map embeds and links for instance; for sorts that are told apart by an id. */
  named?(html: string, base: string): string[]
  /** The service it is asked of, where an owner can let us read more by an account. */
  service?: ServiceName
  /** Why what was read is of no use for what is wanted; null where it is. Left out: whatever could be read is. */
  lacks?(read: Partial<ReadSource>, wanted: readonly Given[]): SourceErrorCode | null
  /** For one that is a document at an address. */
  document?: DocumentFormat
}

/** How a source that is a document is asked for, read, and found from pages that are none. */
export interface DocumentFormat {
  /** Media types to ask for, as an Accept header. */
  accept: string
  /**
   * Reads a document.
   * @param text the decoded document
   * @param base the address it came from, for relative links; null where there is none
   * @throws SourceError
   */
  read(text: string, base: string | null): ReadSource
  /** Where sources of this sort may be, from a page that is none. */
  discover(html: string, base: string): SourceCandidate[]
  /** Addresses worth trying when the page says nothing. */
  usualAddresses(pageUrl: string): SourceCandidate[]
}
