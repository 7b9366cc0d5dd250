import {
  monthOf,
  PresenceRules,
  rehearse,
  THRESHOLDS,
  unmet,
  visitorOf,
  type Expected,
  type MadeUpVisit,
  type Rehearsal,
  type Typical,
} from '@pebblestrand/core/presence'
import type { OverPage, RehearsalOf } from '../../queries/rehearsals'

/** Whether drafts are played as if they were published. */
export type As = 'published' | 'drafts'

const placedAs = (all: readonly OverPage[], as: As) =>
  all.map(({ installId, on, rules, draft }) => ({
    id: installId,
    on,
    rules: PresenceRules.parse(as === 'drafts' && draft ? draft : rules),
  }))

export const play = ({ overPage, timeZone }: RehearsalOf, visit: MadeUpVisit, as: As): Rehearsal =>
  rehearse(placedAs(overPage, as), visitorOf(visit, timeZone))

/** Which of what is expected of a kept visit does not come about. */
export const missing = (of: RehearsalOf, visit: MadeUpVisit, expected: Expected, as: As): Expected =>
  unmet(expected, play(of, visit, as), (widgetId) =>
    of.overPage.filter((one) => one.widgetId === widgetId).map(({ installId }) => installId),
  )

/** How often a visitor who comes like that is interrupted in a month by each, unasked; and the most in one visit, by any. */
export function interruptions(of: RehearsalOf, typical: Pick<Typical, 'visit' | 'every'>, as: As) {
  const { outcomes, happenings } = play(of, monthOf(typical), as)
  const perVisit = new Map<number, number>()
  for (const { what, visit } of happenings) if (what === 'shows') perVisit.set(visit, (perVisit.get(visit) ?? 0) + 1)
  const month = outcomes.reduce((sum, { unasked }) => sum + unasked, 0)
  const most = Math.max(0, ...perVisit.values())
  const often = outcomes.filter(({ unasked }) => unasked > THRESHOLDS.perMonth).map(({ id }) => id)
  return { month, most, often, isMuch: most > THRESHOLDS.perVisit || often.length > 0 }
}
