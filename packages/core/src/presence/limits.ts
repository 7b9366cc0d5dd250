import { dayOf, type Remembered } from './memory'
import type { Limits } from './rules'

/** What holds it back, as the rehearsal says it. */
export type HeldBack =
  'shown-here' | 'closed-lately' | 'answered' | 'shown-this-visit' | 'shown-in-all' | 'nothing-done'

/** What limits say of something that could be shown now; null for nothing. */
export function heldBackBy(
  { daysAfterClosing, onceAnswered, perVisit, inAll, afterDoing }: Limits,
  { closed, answered, shown = 0, lately = 0 }: Remembered,
  { hasDone, wasShown, now }: { hasDone: boolean; wasShown: boolean; now: Date },
): HeldBack | null {
  if (wasShown) return 'shown-here'
  if (onceAnswered && answered) return 'answered'
  if (closed !== undefined && dayOf(now) - closed < daysAfterClosing) return 'closed-lately'
  if (perVisit > 0 && lately >= perVisit) return 'shown-this-visit'
  if (inAll > 0 && shown >= inAll) return 'shown-in-all'
  return afterDoing && !hasDone ? 'nothing-done' : null
}
