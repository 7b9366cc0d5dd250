import type { BodyType, Entry } from '../items'

/** What a document of a source holds, after reading. */
export interface ReadSource {
  /** The document's own format, as its kind names it. */
  format: string
  title: string
  /** The page it belongs to. */
  link: string | null
  language: string | null
  /** What its ratings come to as it says itself, of all there are and not only those listed; null where it says nothing. */
  rating?: { mean: number; count: number } | null
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

/** A sort of source: what pasted text means to it, and how its bytes become items. The server's side of it is a connector. */
export interface SourceKind {
  id: string
  name: string
  /** What its items are: offered to kinds of widgets that show such. */
  gives: readonly BodyType[]
  /** Media types to ask for, as an Accept header. */
  accept: string
  /** The address that pasted text means, where this sort can be behind it; null where not. */
  recognise(pasted: string): { address: string } | null
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
