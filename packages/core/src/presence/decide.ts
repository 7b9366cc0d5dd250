import { barredBy, type Barred } from './audience'
import { heldBackBy, type HeldBack } from './limits'
import type { Memory } from './memory'
import type { PresenceRules } from './rules'
import { triggered } from './triggers'
import type { Arrival, Progress, Visitor } from './visit'

/** Something that stands over the page, by its install's id. */
export interface Candidate {
  id: string
  rules: PresenceRules
}

/** What is going on, when it is asked what to show. */
export interface Moment {
  visitor: Visitor
  arrival: Arrival
  progress: Progress
  memory: Memory
  /** How often each was shown in this visit. */
  shownThisVisit: ReadonlyMap<string, number>
  /** Id of what is open now; null for nothing. */
  open: string | null
  /** Seconds since the last one was closed; null where none was. */
  sinceClosed: number | null
  now: Date
}

/** Seconds between two: one right after another is what annoys most. Common practice in the trade. */
export const PAUSE = 30

export type Why = Barred | HeldBack | 'waits' | 'another-is-open' | 'pause' | 'gives-way'

/** What becomes of one of them at a moment. */
export interface Decision {
  id: string
  shows: boolean
  why: Why | null
}

/** Why one does not show by itself, whatever the others do; null where it would. */
function own({ id, rules }: Candidate, moment: Moment): { why: Why | null; isAsked: boolean } {
  const { visitor, arrival, progress, memory, now } = moment
  const barred = barredBy({ audience: rules.audience, visitor, arrival, now })
  if (barred) return { why: barred, isAsked: false }
  const { is, isAsked } = triggered(rules, progress)
  if (!is) return { why: 'waits', isAsked }
  if (isAsked) return { why: null, isAsked }
  const shownThisVisit = moment.shownThisVisit.get(id) ?? 0
  return {
    why: heldBackBy(rules.limits, memory.of[id] ?? {}, { shownThisVisit, hasDone: progress.hasDone, now }),
    isAsked,
  }
}

/**
 * What shows at a moment: one at a time, what the visitor asked for before all else, then by priority, with a pause between two. The
 * same decides on a client's page, in the rehearsal and in checks.
 */
export function decide(candidates: readonly Candidate[], moment: Moment): Decision[] {
  const judged = candidates.map((candidate) => ({ candidate, ...own(candidate, moment) }))
  const ready = judged
    .filter(({ why }) => why === null)
    .sort((a, b) => Number(b.isAsked) - Number(a.isAsked) || b.candidate.rules.priority - a.candidate.rules.priority)
  const [first] = ready
  const busy: Why | null =
    moment.open !== null
      ? 'another-is-open'
      : first && !first.isAsked && moment.sinceClosed !== null && moment.sinceClosed < PAUSE
        ? 'pause'
        : null
  return judged.map(({ candidate: { id }, why, isAsked }) => {
    if (why) return { id, shows: false, why }
    if (busy && !(isAsked && busy === 'pause')) return { id, shows: false, why: busy }
    return id === first!.candidate.id ? { id, shows: true, why: null } : { id, shows: false, why: 'gives-way' }
  })
}
