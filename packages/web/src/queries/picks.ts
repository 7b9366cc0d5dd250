import { routes } from '@pebblestrand/contract'
import { ask } from '../api/call'
import type { Entry, TypedPick } from '../api/types'
import { changed, useAsk } from './query'

const { sources, picks } = routes

/** As many as are moved about on one screen; a collection holds more on further ones. */
export const PICKS_A_PAGE = 200
/** Collections that are offered to choose from. */
const MOST_COLLECTIONS = 200

export const useCollections = () =>
  useAsk(sources.list, () => ({ query: { gives: 'pick' as const, size: MOST_COLLECTIONS } }))

const collectionChanged = () => changed(sources.items, sources.read, sources.list)

export const beginCollection = async (title: string) => {
  const source = await ask(picks.begin, { body: { title } })
  await changed(sources.list)
  return source
}

export async function putPick(id: string, pick: TypedPick): Promise<Entry> {
  const entry = await ask(picks.put, { params: { id }, body: pick })
  await collectionChanged()
  return entry
}

export async function dropPick(id: string, key: string) {
  const gone = await ask(picks.drop, { params: { id }, body: { key } })
  await collectionChanged()
  return gone
}

export async function movePick(id: string, key: string, to: number): Promise<void> {
  await ask(picks.move, { params: { id }, body: { key, to } })
  await collectionChanged()
}

export const readPage = (address: string) => ask(picks.readPage, { body: { address } })

/** @param keep whether it is kept, or only looked at */
export async function readBookmarks(id: string, text: string, folders: string[] | null, keep: boolean) {
  const read = await ask(picks.readBookmarks, { params: { id }, body: { text, folders, keep } })
  if (keep) await collectionChanged()
  return read
}
