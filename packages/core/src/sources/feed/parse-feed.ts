import { DetectError, parseFeed as readFeed } from 'feedsmith'
import { SourceError } from '../source-error'
import { normalise } from './normalise'
import { absolute } from '../links'
import { storable, type Entry, type Picture } from '../../items'
import type { ReadSource } from '../source-kind'
import { fold, plainText } from '../sanitise'

/** How far apart the parts of a feed are named in the four formats, seen as one loose record. */
interface LooseFeed {
  title?: string | { value?: string; type?: string }
  link?: string
  links?: { href?: string; rel?: string }[]
  home_page_url?: string
  language?: string
  /** RSS and JSON Feed; of Atom the subtitle. */
  description?: string
  subtitle?: string | { value?: string }
  image?: { url?: string } | string
  logo?: string
  icon?: string
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

/** What a feed says of itself beside its title. Plain text; '' and null where it says nothing. */
export interface AboutFeed {
  description: string
  picture: Picture | null
}

/**
 * The same with another reading of each entry; null leaves one out.
 * @param of what else is taken from what the feed says of itself
 */
export function readFeedAs(
  text: string,
  base: string | null,
  entryOf = normalise,
  of: (about: AboutFeed) => Partial<ReadSource> = () => ({}),
): ReadSource {
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
    ...of(aboutFeed(loose, within)),
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

/** RSS 2.0 `image`, JSON Feed 1.1 `icon`, Atom `logo`. */
function aboutFeed({ description, subtitle, image, logo, icon }: LooseFeed, base: string | null): AboutFeed {
  const words = description ?? (typeof subtitle === 'string' ? subtitle : subtitle?.value) ?? ''
  const url = absolute(typeof image === 'string' ? image : image?.url, base) ?? absolute(logo ?? icon, base)
  return {
    description: fold(plainText(words)).slice(0, 500),
    picture: url ? { url, width: null, height: null, alt: '' } : null,
  }
}

/** The first of each key stays: feeds list the newest version first. */
function unique(entries: Entry[]): Entry[] {
  const seen = new Set<string>()
  return entries.filter((entry) => !seen.has(entry.key) && seen.add(entry.key))
}
