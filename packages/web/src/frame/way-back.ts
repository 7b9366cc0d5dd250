import type { Router } from 'vue-router'
import { asApiError } from '../api/error'
import type { BroughtBack } from '../api/types'
import { bringBack as putBack } from '../queries/removals'
import { say, sayFault } from './notices'

/** Says what was removed, with the way back. */
export function sayRemoved(removal: { id: string; name: string }, router: Router): void {
  say(`${removal.name} is removed.`, {
    undo: () => void bringBack(removal.id, router).catch((e: unknown) => sayFault(asApiError(e))),
  })
}

/** Brings back what was removed and goes to where it is. */
export async function bringBack(removalId: string, router: Router): Promise<void> {
  const back = await putBack(removalId)
  await router.push(pathOf(back))
  say(`${back.name} is back.`)
}

const pathOf = ({ what, id, siteId }: BroughtBack): string =>
  ({
    site: `/sites/${id}`,
    page: `/sites/${siteId}?page=${id}`,
    placement: `/sites/${siteId}`,
    widget: `/widgets/${id}`,
    install: `/installs/${id}`,
  })[what]
