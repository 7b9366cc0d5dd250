import { routes } from '@pebblestrand/contract'
import { ask, type Needed } from '../api/call'
import { changed, useAsk } from './query'

const { platforms, sites } = routes

/** What a site can be built with; of profiles for one site, only its own. */
export const usePlatforms = (siteId?: string) => useAsk(platforms.list, () => ({ query: siteId ? { siteId } : {} }))
export const usePlatform = (key: () => string) => useAsk(platforms.read, () => ({ params: { key: key() } }))
export const platformFile = (key: string) => platforms.file.path.replace(':key', key)

/** A site's steps and words follow its platform. */
const after = async <T>(done: Promise<T>): Promise<T> => {
  const answer = await done
  await changed(platforms.list, platforms.read, sites.read, sites.list)
  return answer
}
export const copyPlatform = (from: string, name: string, siteId: string | null) =>
  after(ask(platforms.copy, { body: { from, name, siteId } }))
export const changePlatform = (key: string, body: Needed<typeof platforms.change>['body']) =>
  after(ask(platforms.change, { params: { key }, body }))
export const dropPlatform = (key: string) => after(ask(platforms.drop, { params: { key } }))
export const bringPlatform = (text: string) => after(ask(platforms.bring, { body: { text } }))
