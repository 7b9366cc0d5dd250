/** What snippets are made of, as findings and advice say it. Editors treat each in a way of its own. */
export const snippetParts = {
  element: 'elements',
  data: 'data attributes',
  style: 'style attributes',
  script: 'scripts',
  frame: 'frames',
  picture: 'pictures',
  address: 'addresses',
  shortcode: 'shortcodes',
} as const
export type SnippetPart = keyof typeof snippetParts
export const partIds = Object.keys(snippetParts) as [SnippetPart, ...SnippetPart[]]

/** What an editor's box can make of a part of markup. */
export const markupFates = ['keeps', 'strips', 'escapes'] as const
/**
 * What it can make of a bare address: leave it as words, make it a link, show what stands behind it (oEmbed 1.0), put the page
 * itself into a frame, or the picture into the page.
 */
export const addressFates = ['text', 'links', 'expands', 'frames', 'pictures', 'strips'] as const
/** What it can make of a shortcode: leave it as words, hand it to whoever replaces it, or take it out. */
export const shortcodeFates = ['text', 'replaces', 'strips'] as const

export type MarkupFate = (typeof markupFates)[number]
export type AddressFate = (typeof addressFates)[number]
export type ShortcodeFate = (typeof shortcodeFates)[number]
