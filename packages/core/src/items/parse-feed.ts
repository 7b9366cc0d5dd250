import { DetectError, parseFeed as readFeed } from 'feedsmith'
import { FeedError } from './feed-error'
import { normalise } from './normalise'
import { absolute } from './links'
import type { Feed, FeedFormat, Item } from './item'
import { fold, plainText } from './sanitise'
import { storable } from './storable'

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
 * Reads RSS 0.9x, 1.0 and 2.0, Atom and JSON Feed into normalised items, doubles by id left out, in document order.
 * @param text the decoded document
 * @param base the address it came from, for relative links; null where there is none
 * @throws FeedError with a code from feed-error.ts
 */
export function parseFeed(text: string, base: string | null): Feed {
  const body = text.replace(/^\uFEFF/, '').trim()
  if (!body) throw new FeedError('feed-empty')
  const { format, feed } = detect(body)
  const loose = feed as LooseFeed
  const link = absolute(homeOf(loose), base)
  const within = absolute(loose.xml?.base, base) ?? base ?? link
  const raw = loose.items ?? loose.entries ?? []
  return storable({
    format: format as FeedFormat,
    title: titleOf(loose.title),
    link,
    language: loose.language ?? loose.xml?.lang ?? null,
    items: unique(raw.map((entry) => normalise(entry, within)).filter((item) => item !== null)),
  })
}

function detect(body: string) {
  try {
    return readFeed(body)
  } catch (error) {
    if (looksLikeHtml(body)) throw new FeedError('feed-is-html')
    if (error instanceof DetectError) throw new FeedError('feed-unknown')
    throw new FeedError('feed-malformed', error instanceof Error ? error.message : '')
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

/** The first of each id stays: feeds list the newest version first. */
function unique(items: Item[]): Item[] {
  const seen = new Set<string>()
  return items.filter((item) => !seen.has(item.id) && seen.add(item.id))
}
