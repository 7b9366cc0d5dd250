import { kindOf, readSettings } from '@pebblestrand/core/kinds'
import type { Placed, PresenceRules } from '@pebblestrand/core/presence'
import { QueryTypes } from 'sequelize'
import { isDeepStrictEqual } from 'node:util'
import type { Context } from '../platform/context'
import type { Settings } from '@pebblestrand/core/kinds'
import { overPageOn } from './queries'

interface Row {
  installId: string
  widgetId: string
  widget: string
  kind: string
  page: string
  on: string
  timeZone: string
  held: boolean
  settings: Settings
  kindVersion: number
  draft: Settings
  draftKindVersion: number
}

/** Something over the pages of a site, as it is published and as its draft has it. */
export interface StandingOver {
  installId: string
  widgetId: string
  widget: string
  kind: string
  page: string
  on: string
  rules: PresenceRules
  /** Null where publishing would change nothing. */
  draft: PresenceRules | null
}

/** Everything that appears over pages of a site by rules of its own. */
export async function standingOver({ db }: Pick<Context, 'db'>, siteId: string): Promise<StandingOver[]> {
  const rows = await db.query<Row>(overPageOn, { replacements: { siteId }, type: QueryTypes.SELECT })
  return rows.flatMap(({ settings, kindVersion, draft, draftKindVersion, timeZone, held, ...row }) => {
    const rules = rulesOf(row.kind, settings, kindVersion, timeZone)
    if (!rules) return []
    const next = held ? null : rulesOf(row.kind, draft, draftKindVersion, timeZone)
    return [{ ...row, rules, draft: next && !isDeepStrictEqual(next, rules) ? next : null }]
  })
}

function rulesOf(kindId: string, stored: Settings, version: number, timeZone: string): PresenceRules | null {
  const kind = kindOf(kindId)
  return kind?.presence?.(readSettings(kind, stored, version))?.rules?.(timeZone) ?? null
}

/** What a rehearsal plays. */
export const placed = (all: readonly StandingOver[]): Placed[] =>
  all.map(({ installId, on, rules }) => ({ id: installId, on, rules }))
