import { browserLookIds, type BrowserLookId } from '@pebblestrand/core/verify/words'
import type { BrowserPool } from '../platform/browser/pool'
import type { Outbound } from '../platform/outbound/client'
import { askLinks } from './ask-links'
import { tryPresence, type Trying } from './try-presence'
import { lookInBrowser, type Sighting } from './look-in-browser'

/** On one page. */
const MOST_TRIED = 6

/**
 * A page in a browser at each width, until one of them fails, and what its links lead to; what stands over it is tried out.
 * @param origin of this Pebblestrand
 * @param before told before each look
 * @throws BrowserAway
 */
export async function lookAtWidths(
  { browser, outbound }: { browser: BrowserPool; outbound: Outbound },
  url: string,
  origin: string,
  before: (how: BrowserLookId) => Promise<unknown> = () => Promise.resolve(),
  trying: readonly Trying[] = [],
): Promise<Sighting[]> {
  const seen = await browser.visit(async (visit) => {
    const sightings: Sighting[] = []
    for (const how of browserLookIds) {
      await before(how)
      sightings.push(await lookInBrowser(visit, url, how, origin))
      if (sightings.at(-1)!.look.error) break
    }
    return sightings
  })
  const last = seen.at(-1)!.look
  // Each in a visit of its own: it opens the page many times over.
  for (const one of last.sight && !last.error ? trying.slice(0, MOST_TRIED) : [])
    last.sight!.tried = [
      ...(last.sight!.tried ?? []),
      await browser.visit((visit) => tryPresence(visit, one)).catch(() => ({ id: one.id, trials: [] })),
    ]
  await askLinks(
    outbound,
    seen.flatMap(({ look }) => look.sight ?? []),
    origin,
  )
  return seen
}
