import type { Finding } from './finding'
import type { Plan } from './plan'
import type { InstallStatus } from './status-names'

/** What a check makes of an install. One that nobody has pasted yet is not at fault for being absent. */
export function statusAfter(plan: Pick<Plan, 'status' | 'retiring'>, findings: Finding[]): InstallStatus {
  if (!findings.length) return plan.retiring ? 'retired' : 'confirmed'
  const waiting = plan.status === 'planned' || plan.status === 'handed-over'
  if (waiting && !plan.retiring && findings.every((f) => f.code === 'absent' || f.code === 'other-widget'))
    return plan.status
  return 'needs-a-hand'
}
