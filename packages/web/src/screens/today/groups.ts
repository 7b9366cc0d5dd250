import { SITE_TAG } from '@pebblestrand/contract'
import type { WaitingInstall } from '../../api/types'

/** What is done next, in the order it is best done; installs with no finding are told by their status. */
const groups = [
  { id: 'cache', name: 'Clear a cache' },
  { id: 'publish', name: 'Publish there' },
  { id: 'look', name: 'Look at' },
  { id: 'paste', name: 'Paste' },
  { id: 'check', name: 'Check' },
] as const

export type ActionGroupId = (typeof groups)[number]['id']

/** The site's tag brings it: nothing is pasted for it. */
export const isBrought = ({ method, kind }: WaitingInstall): boolean => method === 'tag' && kind !== SITE_TAG

function groupOf(install: WaitingInstall): ActionGroupId {
  if (install.status === 'needs-a-hand') return install.nextAction ?? 'look'
  return install.status === 'pasted' || isBrought(install) ? 'check' : 'paste'
}

export function grouped(waiting: WaitingInstall[]): { id: ActionGroupId; name: string; installs: WaitingInstall[] }[] {
  return groups
    .map((group) => ({ ...group, installs: waiting.filter((install) => groupOf(install) === group.id) }))
    .filter((group) => group.installs.length > 0)
}
