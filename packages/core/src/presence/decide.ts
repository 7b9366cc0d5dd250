import { barredBy, type Barred } from './audience'
import { heldBackBy, type HeldBack } from './limits'
import { secondOf, type Memory } from './memory'
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
  /** Ids of what is open now. */
  open: readonly string[]
  /** Ids of what was shown on this page. */
  shown: readonly string[]
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
  /** The visitor wanted it: whatever else is open is closed for it. */
  isAsked: boolean
}

/** Why one does not show by itself, whatever the others do; null where it would. */
function own({ id, rules }: Candidate, { visitor, arrival, progress, memory, shown, now }: Moment) {
  const wasShown = shown.includes(id)
  const barred = barredBy({ audience: rules.audience, visitor, visits: memory.visits, arrival, now })
  if (barred) return { why: barred, isAsked: false }
  const { is, isAsked } = triggered({ id, rules }, progress, wasShown)
  if (!is) return { why: 'waits' as const, isAsked: false }
  if (isAsked) return { why: null, isAsked }
  return { why: heldBackBy(rules.limits, memory.of[id] ?? {}, { hasDone: progress.hasDone, wasShown, now }), isAsked }
}

/**
 * What shows at a moment: one at a time, what the visitor asked for before all else, then by priority, with a pause between two;
 * what stands beside the others takes no turn. The same decides on a client's page, in the rehearsal and in checks.
 */
export function decide(candidates: readonly Candidate[], moment: Moment): Decision[] {
  const { open, memory, now } = moment
  const isBeside = new Set(candidates.filter(({ rules }) => rules.beside).map(({ id }) => id))
  const judged = candidates
    .filter(({ id }) => !open.includes(id))
    .map((candidate) => ({ ...candidate, ...own(candidate, moment) }))
  const [first] = judged
    .filter(({ id, why }) => why === null && !isBeside.has(id))
    .sort((a, b) => Number(b.isAsked) - Number(a.isAsked) || b.rules.priority - a.rules.priority)
  const busy: Why | null = open.some((id) => !isBeside.has(id))
    ? 'another-is-open'
    : memory.closed !== null && secondOf(now) - memory.closed < PAUSE
      ? 'pause'
      : null
  return judged.map(({ id, why, isAsked }) => {
    const held = why ?? (isBeside.has(id) ? null : id !== first?.id ? 'gives-way' : isAsked ? null : busy)
    // What gives way to nothing that shows waits for the same as the first.
    const says = held === 'gives-way' && busy && !first?.isAsked ? busy : held
    return { id, shows: says === null, why: says, isAsked }
  })
}
