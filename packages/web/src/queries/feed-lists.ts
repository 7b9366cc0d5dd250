import { routes } from '@pebblestrand/contract'
import { ask, askInSteps } from '../api/call'
import { changed } from './query'

const { feedLists, sources } = routes

export const readFeedList = (text: string) => ask(feedLists.read, { body: { text } })

/** Adds feeds of a list as sources; `tell` hears how many are done. */
export async function bringFeeds(text: string, urls: string[], tell: (step: { done: number; of: number }) => void) {
  const brought = await askInSteps(feedLists.bring, { body: { text, urls } }, tell)
  await changed(sources.list, sources.read)
  return brought
}

/** Where some feeds, or all, are saved as a list. */
export const feedListAddress = (ids: readonly string[] = []) =>
  feedLists.save.path + (ids.length ? `?ids=${ids.join(',')}` : '')
