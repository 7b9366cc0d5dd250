import { generateOpml, parseOpml } from 'feedsmith'
import { absolute } from '../links'

/** A feed in a list of feeds. */
export interface ListedFeed {
  url: string
  title: string
  /** The page it belongs to. */
  link: string | null
  /** Names of the folders around it, the outermost first. */
  folder: string[]
}

export interface FeedList {
  title: string
  /** In the order of the list, each address once. */
  feeds: ListedFeed[]
  /** How many entries lead to no feed: other lists, links, addresses that are none. */
  skipped: number
}

/** An outline as any version of OPML has it. */
interface Outline {
  text?: string
  title?: string
  type?: string
  xmlUrl?: string
  htmlUrl?: string
  category?: string
  outlines?: Outline[]
}

const MOST = { feeds: 2000, depth: 12, name: 100 }

/**
 * Reads a list of feeds: OPML 2.0 (opml.org), section *Subscription lists*; 1.0 alike. Outlines with an `xmlUrl` are feeds, those
 * with others within them folders. One that lies in no folder takes the first of its categories ("/Boston/Weather").
 * @returns null where the text is no OPML
 */
export function readFeedList(text: string): FeedList | null {
  let read: { head?: { title?: string }; body?: { outlines?: Outline[] } }
  try {
    read = parseOpml(text) as never
  } catch {
    return null
  }
  const feeds = new Map<string, ListedFeed>()
  let skipped = 0
  const walk = (outlines: readonly Outline[], folder: string[]) => {
    for (const outline of outlines) {
      const within = outline.outlines ?? []
      const name = plain(outline.text || outline.title || '')
      const url = absolute(outline.xmlUrl, null)
      if (url && feeds.size < MOST.feeds) {
        if (feeds.has(url)) continue
        feeds.set(url, {
          url,
          title: name || new URL(url).host,
          link: absolute(outline.htmlUrl, null),
          folder: folder.length ? folder : categoryOf(outline),
        })
      } else if (!within.length) skipped++
      if (within.length && folder.length < MOST.depth) walk(within, name && !url ? [...folder, name] : folder)
    }
  }
  walk(read.body?.outlines ?? [], [])
  return { title: plain(read.head?.title ?? ''), feeds: [...feeds.values()], skipped }
}

const plain = (text: string) => text.replace(/\s+/g, ' ').trim().slice(0, MOST.name)

/** Comma-separated, slash-delimited (OPML 2.0, *Common attributes*); one without a slash at its beginning is a tag. */
function categoryOf({ category }: Outline): string[] {
  const first = (category ?? '')
    .split(',')
    .map(plain)
    .find((one) => one.startsWith('/'))
  return first ? first.split('/').map(plain).filter(Boolean) : []
}

/** Writes OPML 2.0, with a folder around those that are in one; one feed at least, as OPML's body asks for. */
export function writeFeedList(title: string, feeds: readonly ListedFeed[], now: Date): string {
  const outlines: Outline[] = []
  for (const { url, title: text, link, folder } of feeds) {
    let place = outlines
    for (const name of folder) {
      let there = place.find((one) => one.text === name && !one.xmlUrl)
      if (!there) place.push((there = { text: name, outlines: [] }))
      place = there.outlines!
    }
    place.push({ text, title: text, type: 'rss', xmlUrl: url, ...(link ? { htmlUrl: link } : {}) })
  }
  return generateOpml({ head: { title, dateCreated: now }, body: { outlines } } as never)
}
