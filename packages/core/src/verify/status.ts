import type { Plan } from './plan'
import type { InstallStatus } from './status-names'

/** What a check makes of an install. One that nobody has pasted yet is not at fault for being absent. */
export function statusAfter(
  plan: Pick<Plan, 'status' | 'retiring' | 'muted'>,
  all: readonly { code: string }[],
): InstallStatus {
  // What is meant to be gone is proven gone, whatever was put away.
  const findings = plan.retiring ? all : all.filter(({ code }) => !plan.muted.includes(code))
  if (!findings.length) return plan.retiring ? 'retired' : 'confirmed'
  const waiting = plan.status === 'planned' || plan.status === 'handed-over'
  if (waiting && !plan.retiring && findings.every((f) => f.code === 'absent' || f.code === 'other-widget'))
    return plan.status
  return 'needs-a-hand'
}
