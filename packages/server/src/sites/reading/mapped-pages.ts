import { decodeBytes } from '@pebblestrand/core/sources'
import { siteMapsNamed, type SiteMap } from '@pebblestrand/core/site-facts'
import type { Context } from '../../platform/context'
import { OutboundError, type Outbound } from '../../platform/outbound/client'
import { TooTangled } from '../../platform/threads/threads'

/** Maps that are read, and addresses that are taken from them. */
const MOST = { maps: 6, pages: 500 }

/** Addresses of a site's pages as its site maps list them; none where it has no map. */
export async function mappedPages(
  { outbound, threads }: Pick<Context, 'outbound' | 'threads'>,
  origin: string,
  progress: (done: number, total: number) => Promise<void>,
): Promise<string[]> {
  const robots = await textAt(outbound, `${origin}/robots.txt`)
  const named = siteMapsNamed(robots ?? '').filter((map) => new URL(map).origin === origin)
  const open = named.length ? named : [`${origin}/sitemap.xml`]
  const pages: string[] = []
  for (let at = 0; at < open.length && at < MOST.maps && pages.length < MOST.pages; at++) {
    await progress(at, Math.min(open.length, MOST.maps))
    const text = await textAt(outbound, open[at]!)
    if (text === null) continue
    const map = await readMap(threads, text, origin)
    pages.push(...map.pages.filter((page) => new URL(page).origin === origin))
    open.push(...map.maps.filter((more) => new URL(more).origin === origin && !open.includes(more)))
  }
  return pages.slice(0, MOST.pages)
}

/** One that cannot be read lists nothing: the others are read all the same. */
async function readMap(threads: Context['threads'], text: string, origin: string): Promise<SiteMap> {
  try {
    return await threads.run('readSiteMap', text, new URL(origin).host)
  } catch (error) {
    if (error instanceof TooTangled) return { pages: [], maps: [] }
    throw error
  }
}

async function textAt(outbound: Outbound, url: string): Promise<string | null> {
  try {
    const { status, body, headers } = await outbound.get(url, {
      accept: 'application/xml, text/plain;q=0.9, */*;q=0.5',
    })
    return status === 200 ? decodeBytes(body, headers['content-type']) : null
  } catch (error) {
    if (error instanceof OutboundError) return null
    throw error
  }
}
