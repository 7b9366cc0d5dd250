import { linkTarget, webAddress } from '../markup'

/** Endings of files, which no domain has: "menu.pdf" is a file of the site. */
const FILE =
  /^[^\s/?#:@]+\.(?:html?|php|aspx?|jsp|pdf|docx?|xlsx?|odt|zip|ics|vcf|txt|jpe?g|png|gif|webp|svg)(?:[?#]\S*)?$/i
/** A name with a dot, or one with a port; then a path, a query or a place, or nothing. */
const BARE = /^(?:[^\s/?#:@]+\.[^\s/?#:@.\d]{2,}\.?(?::\d{1,5})?|[a-z0-9-]+:\d{2,5})(?:[/?#]\S*)?$/i
/** One @, and a domain after it (a good guess at RFC 5321's mailbox, as browsers make it: HTML standard, e-mail state). */
const MAIL =
  /^[\w.!#$%&'*+/=?^`{|}~-]{1,64}@[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?(?:\.[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?)+$/i
/** Four numbers with dots: a server, where a browser can read it as one, else a telephone number. */
const IPV4 = /^\d{1,3}(?:\.\d{1,3}){3}(?::\d{1,5})?(?:[/?#]|$)/
/** Digits as people group them, with a country's plus (RFC 3966 leaves the groups out). */
const PHONE = /^\+?[\d\s().\u2010-\u2015-]{6,30}$/

/** Longest address that is looked at, in letters. */
const MOST = 2000

/**
 * What a person typed where an address belongs, made whole: a web address (`example.org/x` gets its scheme), a page or a place
 * of the same site (`/orders`, `#top`), a mail address or a telephone number with its scheme.
 * @returns null for what leads nowhere: words, other schemes, web addresses that no browser can read (WHATWG URL)
 */
export function completeAddress(typed: string): string | null {
  const text = typed.trim()
  if (!text || text.length > MOST || /[\s\\]/.test(text.replace(PHONE, ''))) return null
  if (/^https?:/i.test(text)) return webAddressOf(text)
  if (text.startsWith('//')) return webAddressOf(`https:${text}`)
  if (/^(?:mailto|tel):/i.test(text)) return /^(?:mailto:[^@\s]+@\S+|tel:\+?[\d().-]{3,})$/i.test(text) ? text : null
  if (/^[/#]/.test(text)) return linkTarget(text) ? text : null
  if (IPV4.test(text) && webAddressOf(`https://${text}`)) return webAddressOf(`https://${text}`)
  if (MAIL.test(text)) return `mailto:${text}`
  if (PHONE.test(text) && digits(text).length >= 6) return `tel:${text.startsWith('+') ? '+' : ''}${digits(text)}`
  if (FILE.test(text)) return `/${text}`
  return BARE.test(text) ? webAddressOf(`https://${text}`) : null
}

/** Said of what `completeAddress` cannot take. */
export const LEADS_NOWHERE = 'must be an address like example.org, /page, name@example.org or a telephone number'

const digits = (text: string) => text.replace(/\D/g, '')

/** As it was typed, with two slashes where a browser would put them; null where it has no host that can be one. */
function webAddressOf(text: string): string | null {
  const whole = text.replace(/^(https?):\/*/i, (_, scheme: string) => `${scheme.toLowerCase()}://`)
  return URL.canParse(whole) && new URL(whole).hostname ? whole : null
}

/** The same where only a web address will do, as of a picture; what is none stays as it was typed. */
export const completeWebAddress = (typed: string): string => webAddress(completeAddress(typed)) || typed.trim()
