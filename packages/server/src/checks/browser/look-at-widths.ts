import { browserLookIds, type BrowserLookId } from '@pebblestrand/core/verify/words'
import type { BrowserPool } from '../../platform/browser/pool'
import type { Outbound } from '../../platform/outbound/client'
import { askLinks } from './ask-links'
import { lookInBrowser, type Sighting } from './look-in-browser'

/**
 * A page in a browser at each width, until one of them fails, and what its links lead to.
 * @param origin of this Pebblestrand
 * @param before told before each look
 * @throws BrowserAway
 */
export async function lookAtWidths(
  { browser, outbound }: { browser: BrowserPool; outbound: Outbound },
  url: string,
  origin: string,
  before: (how: BrowserLookId) => Promise<unknown> = () => Promise.resolve(),
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
  await askLinks(
    outbound,
    seen.flatMap(({ look }) => look.sight ?? []),
    origin,
  )
  return seen
}
