import { DetectError, parseFeed as readFeed } from 'feedsmith'
import { SourceError } from '../source-error'
import { normalise } from './normalise'
import { absolute } from '../links'
import { storable, type Entry } from '../../items'
import type { ReadSource } from '../source-kind'
import { fold, plainText } from '../sanitise'

/** How far apart the parts of a feed are named in the four formats, seen as one loose record. */
interface LooseFeed {
  title?: string | { value?: string; type?: string }
  link?: string
  links?: { href?: string; rel?: string }[]
  home_page_url?: string
  language?: string
  items?: unknown[]
  entries?: unknown[]
  xml?: { base?: string; lang?: string }
}

/**
 * Reads RSS 0.9x, 1.0 and 2.0, Atom and JSON Feed into normalised entries, doubles by key left out, in document order.
 * @param text the decoded document
 * @param base the address it came from, for relative links; null where there is none
 * @throws SourceError with a code from source-error.ts
 */
export const parseFeed = (text: string, base: string | null): ReadSource => readFeedAs(text, base)

/** The same with another reading of each entry; null leaves one out. */
export function readFeedAs(text: string, base: string | null, entryOf = normalise): ReadSource {
  const body = text.replace(/^\uFEFF/, '').trim()
  if (!body) throw new SourceError('feed-empty')
  const { format, feed } = detect(body)
  const loose = feed as LooseFeed
  const link = absolute(homeOf(loose), base)
  const within = absolute(loose.xml?.base, base) ?? base ?? link
  const raw = loose.items ?? loose.entries ?? []
  const language = loose.language ?? loose.xml?.lang ?? null
  return storable({
    format,
    title: titleOf(loose.title),
    link,
    language,
    entries: unique(raw.map((entry) => entryOf(entry, within, language)).filter((entry) => entry !== null)),
  })
}

function detect(body: string) {
  try {
    return readFeed(body)
  } catch (error) {
    if (looksLikeHtml(body)) throw new SourceError('feed-is-html')
    if (error instanceof DetectError) throw new SourceError('feed-unknown')
    throw new SourceError('feed-malformed', error instanceof Error ? error.message : '')
  }
}

const looksLikeHtml = (body: string) =>
  /^(?:\s|<!--(?:(?!-->)[\s\S])*-->|<\?xml[^>]*\?>)*<(?:!doctype\s+html|html|head|body|div|p|h1)\b/i.test(
    body.slice(0, 20_000),
  )

function homeOf(feed: LooseFeed): string | undefined {
  const alternate = feed.links?.find((l) => !l.rel || l.rel === 'alternate')
  return feed.home_page_url ?? feed.link ?? alternate?.href
}

function titleOf(title: LooseFeed['title']): string {
  if (!title) return ''
  return typeof title === 'string' ? fold(plainText(title)) : plainText(title.value ?? '')
}

/** The first of each key stays: feeds list the newest version first. */
function unique(entries: Entry[]): Entry[] {
  const seen = new Set<string>()
  return entries.filter((entry) => !seen.has(entry.key) && seen.add(entry.key))
}
