import { routes } from '@pebblestrand/contract'
import { ask } from '../api/call'
import type { Removable } from '../api/types'
import { everythingChanged, useAsk } from './query'

const { removals } = routes

export const useRemovalList = (page: () => number) =>
  useAsk(removals.list, () => ({ query: { page: page() } }), { keep: true })

/** `standing`: on how many client pages the person knows it to be. On more than that, it stays and the error says where. */
export const takeOut = (what: Removable, id: string, standing = 0) =>
  ask(removals.remove, { body: { what, id, standing } })

export async function bringBack(id: string) {
  const back = await ask(removals.bringBack, { params: { id } })
  await everythingChanged()
  return back
}
