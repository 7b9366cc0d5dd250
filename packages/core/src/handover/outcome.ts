import type { FindingCode } from '../verify/catalogue'
import type { InstallStatus } from '../verify/status-names'
import type { SheetWordId } from './sheet-words'

/** What a check tells whoever pastes: what is seen, and what to do; `null` where nothing is left for them. */
export interface Outcome {
  says: SheetWordId
  does: SheetWordId | null
}

const agencySeesIt = (says: SheetWordId): Outcome => ({ says, does: 'wait' })

/** By what was found first. What only the agency can mend is said to be seen by it; what visitors see all the same is no fault of whoever pastes. */
const byFinding: Record<FindingCode, Outcome> = {
  absent: { says: 'absent', does: 'absentDo' },
  'tag-missing': { says: 'absent', does: 'absentDo' },
  unpublished: { says: 'unpublished', does: 'unpublishedDo' },
  'cached-copy': { says: 'cached', does: 'cachedDo' },
  'signed-in-only': { says: 'editorsOnly', does: 'editorsOnlyDo' },
  'shown-as-text': { says: 'asText', does: 'asTextDo' },
  'link-only': { says: 'unclear', does: 'asTextDo' },
  'script-stripped': { says: 'held', does: 'asTextDo' },
  double: { says: 'twice', does: 'twiceDo' },
  'wrong-placement': { says: 'elsewhere', does: 'elsewhereDo' },
  inert: { says: 'unseen', does: 'unseenDo' },
  hidden: { says: 'unseen', does: 'unseenDo' },
  'other-widget': { says: 'other', does: 'otherDo' },
  'wrong-host': { says: 'other', does: 'otherDo' },
  'no-width': { says: 'other', does: 'otherDo' },
  unreachable: { says: 'unreachable', does: 'unreachableDo' },
  'still-there': { says: 'stillThere', does: 'stillThereDo' },
  blocked: agencySeesIt('held'),
  'script-error': agencySeesIt('held'),
  'shortcode-raw': agencySeesIt('asText'),
  moved: agencySeesIt('unclear'),
  'place-gone': agencySeesIt('unclear'),
  'old-release': { says: 'seen', does: null },
  empty: { says: 'seen', does: null },
  overflow: { says: 'seen', does: null },
  'broken-link': { says: 'seen', does: null },
  'does-not-appear': agencySeesIt('held'),
  'appears-anyway': { says: 'seen', does: null },
  'form-not-delivering': { says: 'seen', does: null },
  'cannot-be-closed': { says: 'seen', does: null },
  'covers-consent': { says: 'seen', does: null },
}

/**
 * What a check of an install says to whoever pasted it, or is to take it out: that is finished only when it was proved gone.
 * @param code its first finding; null where it has none
 */
export function outcomeOf(purpose: 'paste' | 'remove', status: InstallStatus, code: FindingCode | null): Outcome {
  if (status === 'retired') return { says: 'gone', does: null }
  if (purpose === 'remove') return code === 'unreachable' ? byFinding[code] : byFinding['still-there']
  if (code) return byFinding[code] ?? agencySeesIt('unclear')
  return status === 'confirmed' ? { says: 'seen', does: null } : { says: 'absent', does: 'absentDo' }
}

/** Whether nothing is left for whoever pastes. */
export const isFinished = ({ says }: Outcome): boolean => says === 'seen' || says === 'gone'
