/** Why a document could not be read as a source. A code once shipped keeps its meaning. */
export const sourceErrors = {
  'feed-empty': {
    message: 'The document is empty.',
    remedy: 'Open the address in a browser: the site may need a moment, or serve its feed elsewhere.',
  },
  'feed-is-html': {
    message: 'This is a web page, not a feed.',
    remedy: "Paste the page's address where a source is added: its feeds are looked for there.",
  },
  'feed-unknown': {
    message: 'This is neither RSS, Atom nor JSON Feed.',
    remedy: 'Look for a link called RSS, Atom, feed or syndication on the site.',
  },
  'no-reviews': {
    message: 'No reviews are marked up on this page.',
    remedy: 'Paste the address of a page that shows them and says so to search engines; many places’ own pages do.',
  },
  'no-hours': {
    message: 'No opening hours are marked up on this page.',
    remedy:
      'Paste the address of a page that states them for search engines, a contact page for instance, or type them in.',
  },
  'no-videos': {
    message: 'The feed has no films.',
    remedy: 'Paste the address of a channel, a user or a playlist, or of one of its films.',
  },
  'feed-malformed': {
    message: 'The feed breaks off or is damaged.',
    remedy: "Tell the site's owner; the last good copy stays in use meanwhile.",
  },
} as const

export type SourceErrorCode = keyof typeof sourceErrors

export class SourceError extends Error {
  readonly remedy: string
  constructor(
    readonly code: SourceErrorCode,
    readonly detail = '',
  ) {
    super(detail ? `${sourceErrors[code].message} ${detail}` : sourceErrors[code].message)
    this.remedy = sourceErrors[code].remedy
  }
}
