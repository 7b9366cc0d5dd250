import type { Look } from '@pebblestrand/core/verify'
import { lookAtWidths } from '../looks/look-at-widths'
import { CHROMIUM } from '../platform/browser/chromium-path'
import { BrowserPool } from '../platform/browser/pool'
import type { Outbound } from '../platform/outbound/client'
import { WrongCall } from './wrong-call'

/**
 * As a check looks with a browser: at each width, and for what its links lead to.
 * @param origin this Pebblestrand, as the plan has it
 * @throws WrongCall where there is no browser
 */
export async function lookWithBrowser(
  url: string,
  origin: string,
  anyAddress: boolean,
  outbound: Outbound,
): Promise<Look[]> {
  const openings = { localhostNames: anyAddress, privateAddresses: anyAddress }
  const pool = BrowserPool.at(CHROMIUM, { openings, own: origin })
  if (!pool)
    throw new WrongCall(`--browser: there is no Chromium at ${CHROMIUM}; install it, or set PEBBLESTRAND_CHROMIUM.`)
  try {
    return (await lookAtWidths({ browser: pool, outbound }, url, origin)).map(({ look }) => look)
  } finally {
    await pool.close()
  }
}
