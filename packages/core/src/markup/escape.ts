// One function a context; the HTML standard's parser must read back exactly what went in (escape.test.ts).

/** Text between tags. */
export const escapeText = (value: string) =>
  clean(value).replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;')

/** A double-quoted attribute value. A line break is kept as a reference, since editors fold them. */
export const escapeAttribute = (value: string) =>
  escapeText(value)
    .replace(/"/g, '&quot;')
    .replace(/'/g, '&#39;')
    .replace(/\n/g, '&#10;')
    .replace(/\r/g, '&#13;')
    .replace(/\t/g, '&#9;')

/** The inside of a comment: HTML standard 13.1.6 forbids "-->", "--!>", "<!--" within, and a dash at the end or ">" at the start. */
export const escapeComment = (value: string) =>
  clean(value).replace(/[<>]/g, '').replace(/-{2,}/g, '-').replace(/^-|-$/g, '').trim()

/** JSON that stands inside a script element: "</script" and "<!--" cannot occur, U+2028/9 neither. */
export const escapeScriptJson = (value: unknown) =>
  JSON.stringify(value).replace(/[<>&\u2028\u2029]/g, (c) => `\\u${c.charCodeAt(0).toString(16).padStart(4, '0')}`)

/** One segment of a URL's path. */
export const escapeSegment = (value: string) => encodeURIComponent(value.toWellFormed())

/** A parser replaces NUL and lone surrogates; they mean nothing in any of our texts. */
const clean = (value: string) => value.toWellFormed().replace(/\0/g, '')
