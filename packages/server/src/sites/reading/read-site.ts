import type { ReadRoom, SiteRead } from '@pebblestrand/contract'
import { cacheMinutes, pagesOf, sharedRooms, type FoundPage, type SharedRoom } from '@pebblestrand/core/site-facts'
import type { Look } from '@pebblestrand/core/verify'
import { lookAt } from '../../looks/fetch-page'
import type { Context } from '../../platform/context'
import type { Outbound } from '../../platform/outbound/client'
import { usualPlacements } from '../usual-placements'
import { mappedPages } from './mapped-pages'
import type { SiteReading } from './models'
import { seeRooms, type SeenRooms } from './see-rooms'

/** Pages whose rooms are measured: the first, and some that its navigation leads to. */
const MEASURED = 4

/** It cannot be read, for a reason that the person who asked can do something about. */
export class NotReadable extends Error {}

export interface Progress {
  (step: NonNullable<SiteReading['step']>, done: number, total: number): Promise<void>
}

/**
 * Reads what a site says of itself.
 * @throws NotReadable where its first page does not answer as one
 */
export async function readSite(
  context: Context,
  address: string,
  progress: Progress,
): Promise<{ read: SiteRead; picture: Buffer | null }> {
  const { outbound, threads } = context
  await progress('page', 0, 1)
  const first = await firstLook(context, address)
  const { origin, pathname, host } = new URL(first.finalUrl)
  const { problem, language, platform, linked } = await threads.run('readFirstPage', first, host)
  if (problem) throw new NotReadable(problem)
  await progress('cache', 0, 1)
  const again = await lookAt(outbound, first.finalUrl, 'served')
  const cache = again.error ? null : cacheMinutes(first.headers, again.headers)

  await progress('pages', 0, 1)
  const mapped = await mappedPages(context, origin, (done, total) => progress('pages', done, total))
  const pages = pagesOf(linked, mapped, origin)
  const paths = [pathname, ...alsoMeasured(pages, pathname)]
  const others = await Promise.all(paths.slice(1).map((path) => lookAt(outbound, origin + path, 'served')))
  const name = await threads.run('nameSite', [first, ...others], host)

  await progress('rooms', 0, paths.length)
  const { seen, note } = await see(context, origin, paths, progress)
  const measuredOn = paths.filter((_, at) => seen[at])
  const rooms = sharedRooms(seen.flatMap((one) => (one ? [one.rooms] : []))).map((room) => measured(room, measuredOn))
  const picture = seen[0]?.picture ?? null
  return {
    picture: picture?.bytes ?? null,
    read: {
      origin,
      name: name ?? { value: host, from: 'its address' },
      platform: platform ?? { value: 'hand-coded', from: null },
      cacheMinutes: cache ?? { value: 0, from: null },
      language,
      pages,
      rooms: rooms.length ? rooms : assumedRooms(),
      measuredOn,
      picture: picture && { width: picture.width, height: picture.height },
      notes: [...ledOn(address, origin), ...(note ? [note] : [])],
    },
  }
}

/** The site's first page as a visitor gets it, whichever of its pages the address is of; that one where the first does not answer. */
async function firstLook({ outbound }: Context, address: string): Promise<Look> {
  const given = await lookOpenly(outbound, address)
  const { origin, pathname } = new URL(given.finalUrl)
  if (given.error || pathname === '/') return given
  const home = await lookAt(outbound, `${origin}/`, 'served')
  return home.error || home.status !== 200 || new URL(home.finalUrl).origin !== origin ? given : home
}

/** Many sites of old answer without encryption only. */
async function lookOpenly(outbound: Outbound, address: string): Promise<Look> {
  const look = await lookAt(outbound, address, 'served')
  if (look.error?.code !== 'no-answer' || !address.startsWith('https:')) return look
  const open = await lookAt(outbound, address.replace(/^https:/, 'http:'), 'served')
  return open.error ? look : open
}

const alsoMeasured = (pages: readonly FoundPage[], first: string) =>
  pages
    .filter(({ path, from }) => from === 'its navigation' && path !== '/' && path !== first)
    .slice(0, MEASURED - 1)
    .map(({ path }) => path)

async function see(
  { browser, threads, log }: Context,
  origin: string,
  paths: readonly string[],
  progress: Progress,
): Promise<{ seen: (SeenRooms | null)[]; note: string | null }> {
  if (!browser)
    return { seen: [], note: 'This machine has no browser: the regions and their widths are as on most sites.' }
  try {
    const seen = await seeRooms(
      { browser, threads },
      paths.map((path) => origin + path),
      (at) => progress('rooms', at, paths.length),
    )
    const none = seen.every((one) => !one?.rooms.length)
    return none
      ? { seen: [], note: 'No region could be told on its pages: those named here are as on most sites.' }
      : { seen, note: null }
  } catch (error) {
    log.warn(error)
    return { seen: [], note: 'It could not be seen in a browser: the regions and their widths are as on most sites.' }
  }
}

function measured(room: SharedRoom, measuredOn: readonly string[]): ReadRoom {
  const { region, name, widths, box, mark, on } = room
  return {
    region,
    name,
    widths: { ...widths, desktop: widths.desktop! },
    box,
    mark,
    on: on && on.map((at) => measuredOn[at]!),
    measured: true,
  }
}

const assumedRooms = (): ReadRoom[] =>
  usualPlacements.map(({ name, region, width }) => ({
    region,
    name,
    widths: { phone: null, tablet: null, desktop: width },
    box: null,
    mark: null,
    on: null,
    measured: false,
  }))

const ledOn = (address: string, origin: string) =>
  new URL(address).origin === origin ? [] : [`The address leads on to ${origin}; that is where the site is.`]
