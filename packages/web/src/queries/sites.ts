import { routes, type Answer } from '@pebblestrand/contract'
import { ask, type Needed } from '../api/call'
import { changed, put, useAsk } from './query'

const { sites, siteLooks, siteTags } = routes

/** What is noted of a site. */
export interface SiteFacts {
  name: string
  origin: string
  platform: string
  cacheMinutes: number | null
  timeZone: string
  /** BCP 47; empty where it is not known. */
  language: string
}

export const useSiteList = (asked: () => { q: string; page: number }) =>
  useAsk(sites.list, () => ({ query: asked() }), { keep: true })
export const useSite = (id: () => string) => useAsk(sites.read, () => ({ params: { id: id() } }))

export const placesWith = (q: string) => ask(sites.places, { query: { q, size: 100 } })
export const placeOf = async (id: string) => (await ask(sites.places, { query: { id } })).rows[0]

/** A change's answer is the site as it is now. */
async function take(detail: Promise<Answer<typeof sites.read>>): Promise<void> {
  const site = await detail
  put(sites.read, { params: { id: site.id } }, site)
  await changed(sites.list)
}

const after = async <T>(done: Promise<T>): Promise<T> => {
  const answer = await done
  await changed(sites.read, sites.list)
  return answer
}

/** What was read of a site besides. */
type Read = Pick<Needed<typeof sites.add>['body'], 'readingId' | 'pages' | 'rooms'>

/** Takes over what a new reading says. */
export const takeReading = (id: string, body: Needed<typeof sites.take>['body']) =>
  take(ask(sites.take, { params: { id }, body }))

export const readLook = (id: string, address: string) => ask(siteLooks.read, { params: { id }, body: { address } })
export const takeLook = (id: string, body: Needed<typeof siteLooks.take>['body']) =>
  take(ask(siteLooks.take, { params: { id }, body }))
export const keepLook = (id: string) => take(ask(siteLooks.keep, { params: { id } }))

// A field that was emptied goes to the server as it is: the server says what is wrong with it.
export const addSite = (site: SiteFacts & { client: string } & Read) =>
  after(ask(sites.add, { body: site as Needed<typeof sites.add>['body'] }))
export const changeSite = (id: string, body: object) => take(ask(sites.change, { params: { id }, body }))
export const addPage = (siteId: string, page: { title: string; path: string; previewUrl?: string }) =>
  after(ask(sites.addPage, { params: { id: siteId }, body: page }))
export const changePage = (id: string, page: { title?: string; path?: string; previewUrl?: string }) =>
  take(ask(sites.changePage, { params: { id }, body: page }))
export const addPlacement = (siteId: string, placement: object) =>
  after(
    ask(sites.addPlacement, { params: { id: siteId }, body: placement as Needed<typeof sites.addPlacement>['body'] }),
  )
export const changePlacement = (id: string, change: object) =>
  take(ask(sites.changePlacement, { params: { id }, body: change }))

export const planTag = (siteId: string) => after(ask(siteTags.plan, { params: { id: siteId } }))
