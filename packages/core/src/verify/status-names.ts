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
