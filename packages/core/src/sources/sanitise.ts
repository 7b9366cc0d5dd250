import sanitizeHtml from 'sanitize-html'
import { absolute } from './links'

const urlAttributes: Record<string, string> = { a: 'href', img: 'src' }

/** What a feed's content may keep: text-level markup, links and pictures. Everything else goes, its text stays. */
export function sanitise(html: string, base: string | null): string {
  return sanitizeHtml(html, {
    allowedTags: [
      'p',
      'br',
      'b',
      'strong',
      'i',
      'em',
      'a',
      'ul',
      'ol',
      'li',
      'blockquote',
      'code',
      'pre',
      'img',
      'h2',
      'h3',
      'h4',
      'figure',
      'figcaption',
      'sub',
      'sup',
    ],
    allowedAttributes: { a: ['href'], img: ['src', 'alt', 'width', 'height'] },
    allowedSchemes: ['http', 'https'],
    allowedSchemesByTag: { a: ['http', 'https', 'mailto'] },
    allowProtocolRelative: false,
    disallowedTagsMode: 'discard',
    nonTextTags: ['script', 'style', 'textarea', 'option', 'noscript', 'template', 'iframe', 'object', 'svg', 'math'],
    transformTags: { '*': (tagName, attribs) => ({ tagName, attribs: resolved(tagName, attribs, base) }) },
  })
}

function resolved(tag: string, attribs: Record<string, string>, base: string | null): Record<string, string> {
  const name = urlAttributes[tag]
  const value = name ? attribs[name] : undefined
  if (!name || !value || /^mailto:/i.test(value)) return attribs
  const full = absolute(value, base)
  if (full) return { ...attribs, [name]: full }
  const { [name]: _dropped, ...rest } = attribs
  return rest
}

/** The words of an HTML fragment, white space folded, block ends as spaces. */
export function plainText(html: string): string {
  const spaced = html.replace(/<(?=\/?(?:p|br|li|div|h\d|blockquote|figure|tr|td)\b)/gi, ' <')
  const stripped = sanitizeHtml(spaced, {
    allowedTags: [],
    allowedAttributes: {},
    nonTextTags: ['script', 'style', 'textarea', 'option', 'noscript', 'template', 'iframe', 'object', 'svg', 'math'],
  })
  return fold(decodeEntities(stripped))
}

export const fold = (text: string) => text.replace(/\s+/g, ' ').trim()

/** sanitize-html gives text with the three markup characters, quotes and spaces escaped; nothing else remains to decode. */
function decodeEntities(text: string): string {
  return text.replace(
    /&(lt|gt|quot|nbsp|#39|amp);/g,
    (_, name: string) => ({ lt: '<', gt: '>', quot: '"', nbsp: ' ', '#39': "'", amp: '&' })[name]!,
  )
}
