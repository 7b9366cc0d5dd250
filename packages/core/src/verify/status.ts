import { catalogue } from './catalogue'
import type { Plan } from './plan'
import type { InstallStatus } from './status-names'

const isSeen = ({ code }: { code: string }) => Boolean((catalogue as Record<string, { isSeen?: true }>)[code]?.isSeen)

/**
 * What a check makes of an install. One that nobody has pasted yet is not at fault for being absent. One whose faults were all
 * put away needs nobody, but is confirmed only where visitors see it all the same.
 */
export function statusAfter(
  plan: Pick<Plan, 'status' | 'retiring' | 'muted'>,
  all: readonly { code: string }[],
): InstallStatus {
  // What is meant to be gone is proven gone, whatever was put away.
  const findings = plan.retiring ? all : all.filter(({ code }) => !plan.muted.includes(code))
  if (!findings.length) return plan.retiring ? 'retired' : all.every(isSeen) ? 'confirmed' : 'pasted'
  const waiting = plan.status === 'planned' || plan.status === 'handed-over'
  if (waiting && !plan.retiring && findings.every((f) => f.code === 'absent' || f.code === 'other-widget'))
    return plan.status
  return 'needs-a-hand'
}
