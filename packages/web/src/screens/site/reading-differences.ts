import { isSameWidth } from '@pebblestrand/core/layout'
import type { SiteDetail } from '../../api/types'
import type { ReadRoom, SiteRead } from '../../queries/site-readings'

/** Something that a new reading says otherwise than what is noted. */
export interface Difference {
  id: string
  label: string
  was: string
  now: string
  /** Whether it is worth taking over before anyone thought about it: what was measured, where the old was measured or assumed. */
  wanted: boolean
  take: Take
}

/** What is taken over with it, for the server. */
export interface Take {
  facts?: Partial<Record<'name' | 'platform' | 'language', string> & { cacheMinutes: number }>
  page?: { title: string; path: string }
  room?: { placementId: string | null; room: ReadRoom }
}

const px = (width: number | null) => (width === null ? 'not shown' : `${width} px`)

/** What a new reading says otherwise than what is noted of a site, in the order in which it is looked at. */
export function differences(site: SiteDetail, read: SiteRead, platformName: (id: string) => string): Difference[] {
  return [...facts(site, read, platformName), ...rooms(site, read), ...pages(site, read)]
}

function facts(site: SiteDetail, read: SiteRead, platformName: (id: string) => string): Difference[] {
  const found: Difference[] = []
  const add = (id: string, label: string, was: string, now: string, wanted: boolean, take: Take['facts']) => {
    if (was !== now) found.push({ id, label, was: was || 'not noted', now, wanted, take: { facts: take } })
  }
  if (read.platform.from)
    add('platform', 'Built with', site.platform.name, platformName(read.platform.value), false, {
      platform: read.platform.value,
    })
  if (read.cacheMinutes.from)
    add('cache', 'Cache, minutes', String(site.cacheMinutes), String(read.cacheMinutes.value), true, {
      cacheMinutes: read.cacheMinutes.value,
    })
  if (read.language)
    add('language', 'Language', site.language ?? '', read.language.value, true, { language: read.language.value })
  return found
}

/** A placement is met by the room of its region: by its name where there are several. */
function rooms(site: SiteDetail, read: SiteRead): Difference[] {
  const shared = site.placements.filter(({ pageId }) => pageId === null)
  return read.rooms.flatMap((room): Difference[] => {
    if (!room.measured) return []
    const same = shared.filter(({ region }) => region === room.region)
    const placement =
      same.find(({ name }) => name === room.name) ?? (same.length === 1 && !room.on ? same[0] : undefined)
    const widths = `${px(room.widths.desktop)}, tablet ${px(room.widths.tablet)}, phone ${px(room.widths.phone)}`
    if (!placement)
      return [
        {
          id: `room ${room.name} ${room.on?.join(' ') ?? ''}`,
          label: `Region ${room.name}${room.on ? ` on ${room.on.join(', ')}` : ''}`,
          was: 'not noted',
          now: widths,
          wanted: same.length === 0,
          take: { room: { placementId: null, room } },
        },
      ]
    const isAsWide = isSameWidth(placement.width, room.widths.desktop)
    const isSame =
      isAsWide && placement.widthTablet === room.widths.tablet && placement.widthPhone === room.widths.phone
    if (isSame && placement.known === 'read') return []
    return [
      {
        id: `placement ${placement.id}`,
        label: `Region ${placement.name}`,
        was: `${px(placement.width)}, ${{ read: 'read before', assumed: 'assumed', noted: 'written by a person' }[placement.known]}`,
        now: widths,
        wanted: placement.known !== 'noted' || isAsWide,
        take: { room: { placementId: placement.id, room: { ...room, name: placement.name } } },
      },
    ]
  })
}

function pages(site: SiteDetail, read: SiteRead): Difference[] {
  const known = new Set(site.pages.map(({ path }) => path))
  return read.pages
    .filter(({ path }) => !known.has(path))
    .map(({ path, title, from }) => ({
      id: `page ${path}`,
      label: `Page ${title}`,
      was: 'not noted',
      now: `${path}, in ${from}`,
      wanted: from === 'its navigation',
      take: { page: { title, path } },
    }))
}

/** All that is to be taken over, as one call. */
export function takenOver(readingId: string, chosen: readonly Take[]) {
  return {
    readingId,
    ...Object.assign({}, ...chosen.map(({ facts: some }) => some ?? {})),
    pages: chosen.flatMap(({ page }) => page ?? []),
    rooms: chosen.flatMap(({ room }) =>
      room
        ? {
            placementId: room.placementId,
            name: room.room.name,
            region: room.room.region,
            on: room.room.on,
            width: room.room.widths.desktop,
            widthTablet: room.room.widths.tablet,
            widthPhone: room.room.widths.phone,
            known: 'read' as const,
          }
        : [],
    ),
  }
}
