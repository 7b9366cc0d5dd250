import { routes, type Answer } from '@pebblestrand/contract'
import type { Expected, MadeUpVisit } from '@pebblestrand/core/presence'
import { ask } from '../api/call'
import { changed, useAsk } from './query'

const { rehearsals } = routes

export type RehearsalOf = Answer<typeof rehearsals.read>
export type OverPage = RehearsalOf['overPage'][number]
export type KeptVisit = RehearsalOf['expectations'][number]

export const useRehearsal = (siteId: () => string) => useAsk(rehearsals.read, () => ({ params: { id: siteId() } }))

export async function keepVisit(
  siteId: string,
  kept: { name: string; visit: MadeUpVisit; expected: Expected },
): Promise<void> {
  await ask(rehearsals.expect, { params: { id: siteId }, body: kept })
  await changed(rehearsals.read)
}
export async function dropVisit(id: string): Promise<void> {
  await ask(rehearsals.drop, { params: { id } })
  await changed(rehearsals.read)
}
