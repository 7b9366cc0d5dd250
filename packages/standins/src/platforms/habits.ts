import { parseFragment, serialize, type DefaultTreeAdapterMap } from 'parse5'
import { escape } from '../html'

// What editors do to what is pasted, each on its own: by parsing what came and writing what is kept.

type Node = DefaultTreeAdapterMap['node']
type Element = DefaultTreeAdapterMap['element']

const isElement = (node: Node): node is Element => 'tagName' in node

/** Takes out what a test finds, with all that is in it, and attributes that another finds. */
function without(html: string, element: (name: string) => boolean, attribute: (name: string) => boolean): string {
  const fragment = parseFragment(html)
  const clean = (parent: { childNodes: Node[] }) => {
    parent.childNodes = parent.childNodes.filter((node) => !isElement(node) || !element(node.tagName))
    for (const node of parent.childNodes) {
      if (!isElement(node)) continue
      node.attrs = node.attrs.filter(({ name }) => !attribute(name) && !name.startsWith('on'))
      clean(node)
    }
  }
  clean(fragment)
  return serialize(fragment)
}

const none = () => false

export const withoutScripts = (html: string) => without(html, (name) => name === 'script', none)
export const withoutScriptsAndData = (html: string) =>
  without(
    html,
    (name) => name === 'script',
    (name) => name.startsWith('data-'),
  )
export const plainMarkup = (html: string) =>
  without(
    html,
    (name) => ['script', 'iframe', 'object', 'embed', 'style', 'link'].includes(name),
    (name) => name === 'style' || name.startsWith('data-'),
  )
/** Plain markup that may carry data attributes. */
export const wordsMarkup = (html: string) =>
  without(
    html,
    (name) => ['script', 'iframe', 'object', 'embed', 'style', 'link'].includes(name),
    (name) => name === 'style',
  )

/** Straight quotes become those of the printer, as word processors make them. */
export const typographic = (text: string) =>
  text
    .replace(/(^|[\s([{<>=])"/g, '$1\u201c')
    .replace(/"/g, '\u201d')
    .replace(/(^|[\s([{<>=])'/g, '$1\u2018')
    .replace(/'/g, '\u2019')

/** What is typed, as words: lines become paragraphs, markup becomes visible. */
export const asWords = (text: string, line: (text: string) => string = escape) =>
  text
    .split(/\n{2,}/)
    .filter((part) => part.trim())
    .map((part) => `<p>${part.trim().split('\n').map(line).join('<br>')}</p>`)
    .join('\n')

const ADDRESS = /^https?:\/\/\S+$/

/** An address among words, as a link. */
export const linked = (text: string) =>
  text
    .split(/(\s+)/)
    .map((word) => (ADDRESS.test(word) ? `<a href="${escape(word)}">${escape(word)}</a>` : escape(word)))
    .join('')

/** Where an address stands in the markup's text, a link around it. */
export const withLinks = (html: string) =>
  html.replace(/(^|[>\s])(https?:\/\/[^\s<>"]+)(?![^<]*>)(?![^<]*<\/a>)/g, '$1<a href="$2">$2</a>')

export const isAddress = (text: string) => ADDRESS.test(text.trim())
