import { escapeAttribute } from './escape'

// What a value has to be to get into HTML or CSS at all; anything else is dropped.

/** An address for href or src that a script sets: http and https only, else nothing. */
export const webAddress = (value: string | null): string => (value && /^https?:\/\//i.test(value) ? value : '')

/** The same, escaped, where it stands in HTML. */
export const address = (value: string | null): string => escapeAttribute(webAddress(value))

/** Where a link that a person wrote leads, escaped: a web address, a page or a place of the same site, a mail address, a telephone; else nothing. */
export const linkTarget = (value: string): string =>
  /^(?:https?:\/\/|\/(?!\/)|#|mailto:|tel:)/i.test(value.trim()) ? escapeAttribute(value.trim()) : ''

/** A CSS colour as our settings allow it. */
export const colour = (value: string): string => (/^#(?:[0-9a-f]{3}|[0-9a-f]{6})$/i.test(value) ? value : '')

/** CSS text for a declaration's value: nothing that could end the declaration or the style element. */
export const cssValue = (value: string) => value.replace(/[;{}<>\\]/g, '')

/** An address inside `url("…")`: http and https only, what could end it encoded. */
export const cssUrl = (value: string) =>
  /^https?:\/\//i.test(value) ? encodeURI(decoded(value)).replace(/["'()\\]/g, encodeURIComponent) : ''

function decoded(value: string): string {
  try {
    return decodeURI(value)
  } catch {
    return value // a lone % is no escape
  }
}
