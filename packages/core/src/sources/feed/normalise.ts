import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import { parseDate } from './dates'
import { absolute } from '../links'
import type { Entry } from '../../items'
import type { LooseEntry } from './loose-entry'
import { pictureOf } from './picture'
import { fold, plainText, sanitise } from '../sanitise'
import { cutAtWord } from '../../text'

/** Characters of markup of one entry that are looked at: several times the text that is kept. */
const MOST_MARKUP = 400_000
const MOST_TITLE = 10_000

/** One feed entry to one of ours; null where it has neither title, text nor link. `language` is the feed's. */
export function normalise(raw: unknown, base: string | null, language: string | null): Entry | null {
  const entry = raw as LooseEntry
  const link = absolute(linkOf(entry), base)
  const markup = contentOf(entry)
  const html = sanitise(markup.html.slice(0, MOST_MARKUP), absolute(markup.base, base) ?? link ?? base)
  const text = plainText(html)
  const title = titleOf(entry) || firstWords(text)
  if (!title && !text && !link) return null
  const publishedAt = dateOf(entry)
  return {
    key: entry.guid?.value || entry.id || entry.rdf?.about || link || hashOf(title, publishedAt),
    author: authorOf(entry),
    publishedAt,
    link,
    language,
    labels: labelsOf(entry),
    body: { type: 'article', title, text, html, picture: pictureOf(entry, html, link ?? base) },
  }
}

const hashOf = (title: string, publishedAt: string | null) =>
  `hash:${bytesToHex(sha256(utf8ToBytes(`${title}\n${publishedAt ?? ''}`))).slice(0, 32)}`

function linkOf(entry: LooseEntry): string | undefined {
  const alternate = entry.links?.find((l) => (l.rel ?? 'alternate') === 'alternate')
  const permalink =
    entry.guid?.isPermaLink !== false && /^https?:/.test(entry.guid?.value ?? '') ? entry.guid?.value : undefined
  return entry.link ?? alternate?.href ?? entry.url ?? entry.external_url ?? permalink
}

function contentOf(entry: LooseEntry): { html: string; base?: string } {
  const atom =
    entry.content?.value !== undefined ? entry.content : typeof entry.summary === 'object' ? entry.summary : null
  if (entry.content?.encoded) return { html: entry.content.encoded }
  if (atom)
    return {
      html: atom.type && atom.type !== 'text' ? (atom.value ?? '') : escapeText(atom.value ?? ''),
      base: atom.xml?.base,
    }
  if (entry.content_html) return { html: entry.content_html }
  if (entry.description) return { html: entry.description }
  return { html: escapeText(entry.content_text ?? (typeof entry.summary === 'string' ? entry.summary : '')) }
}

function titleOf(entry: LooseEntry): string {
  const title = entry.title
  if (!title) return ''
  if (typeof title === 'string') return fold(plainText(loneMarkupEscaped(title.slice(0, MOST_TITLE))))
  const value = (title.value ?? '').slice(0, MOST_TITLE)
  return title.type === 'html' || title.type === 'xhtml' ? plainText(value) : fold(value)
}

/** RSS titles are text in some feeds and HTML in others; a `<` that begins no tag is meant as a character. */
const loneMarkupEscaped = (title: string) => title.replace(/<(?![a-z/!])/gi, '&lt;')

const escapeText = (text: string) =>
  text
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/\n{2,}/g, '<br>')

function firstWords(text: string): string {
  return text.length <= 80 ? text : `${cutAtWord(text, 80)}…`
}

function authorOf(entry: LooseEntry): string | null {
  const first = entry.authors?.[0] ?? entry.dc?.creators?.[0]
  const name = typeof first === 'object' ? (first.name ?? first.email) : first
  if (!name) return null
  const bracketed = /^[^\s@]+@\S+\s+\((.+)\)$/.exec(name.trim().slice(0, 300)) // RSS 2.0: "address (Name)"
  return fold(plainText(bracketed?.[1] ?? name)) || null
}

function dateOf(entry: LooseEntry): string | null {
  const candidates = [
    entry.pubDate,
    entry.published,
    entry.date_published,
    entry.dc?.dates?.[0],
    entry.updated,
    entry.date_modified,
  ]
  return candidates.map(parseDate).find((date) => date !== null) ?? null
}

function labelsOf(entry: LooseEntry): string[] {
  const named = (entry.categories ?? []).map((c) => (typeof c === 'string' ? c : (c.label ?? c.name ?? c.term ?? '')))
  return [...new Set([...named, ...(entry.tags ?? []), ...(entry.dc?.subjects ?? [])].map(fold).filter(Boolean))]
}
