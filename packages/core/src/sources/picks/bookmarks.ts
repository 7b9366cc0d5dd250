import type { Cheerio, CheerioAPI } from 'cheerio'
import type { AnyNode, Element } from 'domhandler'
import { parseHtml, textWithin } from '../../html'
import { escapeAttribute, escapeText } from '../../markup'
import { absolute } from '../links'

/** One bookmark. Texts are plain. */
export interface Bookmark {
  link: string
  title: string
  note: string
  /** Names of the folders around it, the outermost first, and its tags. */
  labels: string[]
  /** ISO 8601 in UTC; null where the file says none. */
  addedAt: string | null
}

export interface ReadBookmarks {
  bookmarks: Bookmark[]
  /** How many had no http address, `javascript:` and `place:` ones for instance. */
  skipped: number
}

/** Far more than anyone keeps by hand. */
const MOST = 20_000

/** Letters of a note that are kept. */
const MOST_NOTE = 10_000

/** Names of the folders that browsers make themselves: they say nothing of what is in them. */
const OWN_FOLDERS =
  /^(bookmarks?( bar| menu| toolbar)?|other bookmarks|mobile bookmarks|favou?rites( bar)?|lesezeichen(-?(symbol)?leiste|-?menü)?|weitere lesezeichen|unfiled|imported.*)$/i

/**
 * Reads a bookmark file: the de-facto Netscape bookmark format, which browsers write and read. Nested `DL` lists; a `DT` with an
 * `H3` is a folder, one with an `A HREF` a bookmark; `ADD_DATE` is in seconds since 1970, `TAGS` names are parted by commas, a
 * `DD` is its note.
 * @returns null where the text is no such file
 */
export function readBookmarks(text: string): ReadBookmarks | null {
  if (!/<dl[\s>]/i.test(text) || !/<a\s/i.test(text) || !/\shref/i.test(text)) return null
  const $ = parseHtml(text)
  const bookmarks: Bookmark[] = []
  let skipped = 0
  for (const node of $('dl a[href]').toArray().slice(0, MOST)) {
    const link = absolute(node.attribs.href, null)
    if (!link) skipped++
    else
      bookmarks.push({
        link,
        title: plain($(node).text()) || link,
        note: noteAfter($, node),
        labels: [...new Set([...foldersOf($, node), ...tagsOf(node)])],
        addedAt: dateOf(node.attribs.add_date),
      })
  }
  return { bookmarks, skipped }
}

const plain = (text: string) => text.replace(/\s+/g, ' ').trim()
const tagsOf = ({ attribs }: Element) => (attribs.tags ?? '').split(',').map(plain).filter(Boolean)

/** Seconds since 1970; some write milliseconds or microseconds. */
function dateOf(value: string | undefined): string | null {
  if (!value || !/^\d{9,17}$/.test(value)) return null
  const digits = value.length
  const milliseconds = digits <= 11 ? Number(value) * 1000 : digits <= 14 ? Number(value) : Number(value) / 1000
  return new Date(Math.round(milliseconds)).toISOString()
}

/** The `DD` that follows the bookmark's `DT`, up to what is nested in it. */
function noteAfter($: CheerioAPI, node: Element): string {
  const term = $(node).closest('dt')
  const next = term.next()
  if (!next.is('dd')) return ''
  const own = next[0]!.children.filter((child) => child.type !== 'tag' || !/^(?:dl|dt)$/.test(child.name))
  return plain(own.map((child) => textWithin(child, MOST_NOTE)).join(''))
}

/** Folders around a bookmark, the outermost first. */
function foldersOf($: CheerioAPI, node: Element): string[] {
  const names: string[] = []
  for (let list = $(node).closest('dl') as Cheerio<AnyNode>; list.length; list = list.parent().closest('dl')) {
    const name = plain(headingOf(list).text())
    if (name && !OWN_FOLDERS.test(name)) names.unshift(name)
  }
  return names
}

/** A folder's list stands beside its `H3`, after the `DT` with it, or in the `DD` of its note. */
function headingOf(list: Cheerio<AnyNode>): Cheerio<AnyNode> {
  const beside = list.prevAll('h3').first()
  if (beside.length) return beside
  const before = list.prevAll('dt').first().children('h3')
  return (before.length ? before : list.parent('dd').prevAll('dt').first().children('h3')).last()
}

/** Writes the same format: a folder for each first label, in the order of their first bookmark; those without one stand before. */
export function writeBookmarks(title: string, bookmarks: readonly Bookmark[]): string {
  const folders = new Map<string, Bookmark[]>()
  for (const bookmark of bookmarks) {
    const folder = bookmark.labels[0] ?? ''
    folders.set(folder, [...(folders.get(folder) ?? []), bookmark])
  }
  const lines = (some: readonly Bookmark[], indent: string) => some.map((one) => indent + bookmarkLine(one)).join('')
  const { '': loose = [], ...named } = Object.fromEntries(folders)
  return (
    '<!DOCTYPE NETSCAPE-Bookmark-file-1>\n<META HTTP-EQUIV="Content-Type" CONTENT="text/html; charset=UTF-8">\n' +
    `<TITLE>${escapeText(title)}</TITLE>\n<H1>${escapeText(title)}</H1>\n<DL><p>\n` +
    lines(loose, '    ') +
    Object.entries(named)
      .map(
        ([name, some]) => `    <DT><H3>${escapeText(name)}</H3>\n    <DL><p>\n${lines(some, '        ')}    </DL><p>\n`,
      )
      .join('') +
    '</DL><p>\n'
  )
}

function bookmarkLine({ link, title, note, labels, addedAt }: Bookmark): string {
  const date = addedAt ? ` ADD_DATE="${Math.round(Date.parse(addedAt) / 1000)}"` : ''
  const rest = labels.slice(1)
  const tags = rest.length ? ` TAGS="${escapeAttribute(rest.join(','))}"` : ''
  const text = note ? `<DD>${escapeText(note.replace(/\s+/g, ' '))}\n` : ''
  return `<DT><A HREF="${escapeAttribute(link)}"${date}${tags}>${escapeText(title)}</A>\n${text}`
}
