import type { BrokenExpectation } from '@pebblestrand/contract'
import { rehearse, unmet, visitorOf, type Expected, type MadeUpVisit } from '@pebblestrand/core/presence'
import { QueryTypes } from 'sequelize'
import type { z } from 'zod'
import type { Context } from '../platform/context'
import { expectationsAbout } from './queries'
import { placed, standingOver, type StandingOver } from './standing'

interface Kept {
  id: string
  siteId: string
  site: string
  timeZone: string
  name: string
  visit: MadeUpVisit
  expected: Expected
}

/** Expectations that hold as things are published, and would not once a widget's draft is; played by the code that decides on pages. */
export async function brokenByPublishing(
  context: Pick<Context, 'db'>,
  widgetId: string,
): Promise<z.input<typeof BrokenExpectation>[]> {
  const kept = await context.db.query<Kept>(expectationsAbout, { replacements: { widgetId }, type: QueryTypes.SELECT })
  const bySite = new Map<string, StandingOver[]>()
  const broken = []
  for (const one of kept) {
    if (!bySite.has(one.siteId)) bySite.set(one.siteId, await standingOver(context, one.siteId))
    const now = bySite.get(one.siteId)!
    const next = now.map((each) => (each.widgetId === widgetId && each.draft ? { ...each, rules: each.draft } : each))
    const before = missed(one, now)
    const news = missed(one, next).filter(({ widgetId: id }) => !before.some((other) => other.widgetId === id))
    const { id, siteId, site, name } = one
    for (const { widgetId: of, sees } of news)
      broken.push({
        id,
        siteId,
        site,
        name,
        says: `${nameOf(now, of)} would ${sees ? 'never ' : ''}be seen.`,
      })
  }
  return broken
}

function missed({ visit, expected, timeZone }: Kept, standing: readonly StandingOver[]): Expected {
  const played = rehearse(placed(standing), visitorOf(visit, timeZone))
  return unmet(expected, played, (id) =>
    standing.filter((one) => one.widgetId === id).map(({ installId }) => installId),
  )
}

const nameOf = (standing: readonly StandingOver[], id: string) =>
  standing.find(({ widgetId }) => widgetId === id)?.widget ?? 'A widget that is gone'
