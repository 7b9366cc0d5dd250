import type { Finding } from './finding'
import type { Plan } from './plan'

/** An install's status, in the order of its life. The names stand in interface, database and docs. */
export const statuses = {
  planned: { name: 'planned' },
  'handed-over': { name: 'handed over' },
  pasted: { name: 'pasted' },
  confirmed: { name: 'confirmed' },
  'needs-a-hand': { name: 'needs a hand' },
  retired: { name: 'retired' },
} as const
export type InstallStatus = keyof typeof statuses
export const statusIds = Object.keys(statuses) as [InstallStatus, ...InstallStatus[]]

/** What a check makes of an install. One that nobody has pasted yet is not at fault for being absent. */
export function statusAfter(plan: Pick<Plan, 'status' | 'retiring'>, findings: Finding[]): InstallStatus {
  if (!findings.length) return plan.retiring ? 'retired' : 'confirmed'
  const waiting = plan.status === 'planned' || plan.status === 'handed-over'
  if (waiting && !plan.retiring && findings.every((f) => f.code === 'absent' || f.code === 'other-widget'))
    return plan.status
  return 'needs-a-hand'
}
