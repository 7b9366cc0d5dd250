import { routes } from '@pebblestrand/contract'
import { ask, askInSteps } from '../api/call'
import type { SourceDetail, TypedReview } from '../api/types'
import { changed, put, useAsk } from './query'

const { sources, keptReviews } = routes

/** One that is just being read has no end yet: looked at again now and then. */
const AGAIN_MS = 30_000

export const useSourceList = (asked: () => { q: string; page: number; size: number }) =>
  useAsk(sources.list, () => ({ query: asked() }), { keep: true, again: () => AGAIN_MS })

export const useSource = (id: () => string) =>
  useAsk(sources.read, () => ({ params: { id: id() } }), { again: () => AGAIN_MS })

export const useEntries = (id: () => string, asked: () => { q: string; page: number; size: number }) =>
  useAsk(sources.items, () => ({ params: { id: id() }, query: asked() }), { keep: true })

async function keep(source: SourceDetail): Promise<SourceDetail> {
  put(sources.read, { params: { id: source.id } }, source)
  await changed(sources.list, sources.items, routes.today.read)
  return source
}

/** Read now; `tell` hears how far it is. */
export const readNow = (id: string, tell: (step: { read: number; of: number }) => void = () => {}) =>
  askInSteps(sources.refresh, { params: { id } }, tell).then(keep)

export const changeSource = (
  id: string,
  change: { intervalMinutes?: number; paused?: boolean; title?: string; folder?: string },
) => ask(sources.change, { params: { id }, body: change }).then(keep)

/** Leads away, to the page of the service on which an owner lets us read. */
export async function connect(id: string): Promise<void> {
  const { address } = await ask(sources.connect, { params: { id } })
  location.assign(address)
}
export const connected = (answer: { state: string; code: string }) =>
  ask(sources.connected, { body: answer }).then(keep)
export const disconnect = (id: string) => ask(sources.disconnect, { params: { id } }).then(keep)

export const beginKept = (title: string) => ask(keptReviews.begin, { body: { title } }).then(keep)

const entriesChanged = () => changed(sources.items, sources.read, sources.list)

export async function putReview(id: string, review: TypedReview) {
  const entry = await ask(keptReviews.put, { params: { id }, body: review })
  await entriesChanged()
  return entry
}
export async function dropReview(id: string, key: string) {
  const entry = await ask(keptReviews.drop, { params: { id }, body: { key } })
  await entriesChanged()
  return entry
}
