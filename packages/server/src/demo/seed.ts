import type { Context } from '../platform/context'
import { Instance, User } from '../accounts/models'
import { hashPassword } from '../accounts/password'
import { AGENCY } from '../accounts/setup'
import { addSource, refreshSource } from '../sources/refresh'
import type { Site } from '../sites/models'
import { kindOf } from '@pebblestrand/core/kinds'
import { putTyped } from '../sources/kept-here/typed'
import { TypedPick } from '@pebblestrand/contract'
import { beginKept } from '../sources/kept-here/begin'
import { beginCollection } from '../sources/picks/collection'
import { putPick } from '../sources/picks/pick'
import { guestBook } from './guest-book'
import { draftOf, saveDraft } from '../widgets/draft'
import { makeWidget } from '../widgets/make'
import { Widget } from '../widgets/models'
import { publish } from '../widgets/publish'
import type { Install } from '../installs/models'
import { Desks } from './desk'
import { agency, people } from './people'
import { seedAgency, seedSwap } from './seed-agency'
import { seedForms } from './seed-forms'
import { seedHandover } from './seed-handover'
import { seedInstalls } from './seed-installs'
import { seedOverPage } from './seed-over-page'
import { seedTags } from './seed-tags'
import { seedSite } from './seed-sites'
import { seedVisits } from './seed-visits'
import { shelf } from './shelf'
import { feeds, widgets, type SourceName } from './story'

/** Any number; keeps two processes from telling the story at once. */
const LOCK = 4_600_002

/**
 * Tells the demo's story on an empty database, through the same functions the interface uses.
 * @returns installs that a browser is to look at, once there is something to be seen: the server answers
 */
export async function seedDemo(context: Context): Promise<Install[]> {
  if (await User.count()) return []
  return context.db.transaction(async (transaction) => {
    await context.db.query('SELECT pg_advisory_xact_lock(:lock)', { replacements: { lock: LOCK }, transaction })
    return (await User.count()) ? [] : tell({ ...context, browser: null })
  })
}

async function tell(context: Context): Promise<Install[]> {
  const desks = new Desks(context.config.standinsPort)
  const standIns = await desks.sites().catch((error: Error) => {
    throw new Error(
      `The demo needs the simulated sites, and they do not answer (${error.message}). Start with NO_DEMO=1 for none.`,
    )
  })
  await desks.reset()
  const users = await seedPeople()
  const sites = new Map<string, Site>()
  for (const from of standIns)
    sites.set(from.host, await context.db.transaction((t) => seedSite(desks, from, users[0]!, t)))
  const sourceIds = await seedSources(context, desks)
  const widgetIds = await seedWidgets(context, sourceIds, users[0]!)
  await seedAgency(context, sites, widgetIds, users[0]!)
  await seedTags(context, desks, sites, widgetIds, users[0]!)
  await desks.set('net-loft', { allowed: context.config.origin })
  const installs = await seedInstalls(context, desks, sites, widgetIds, users)
  const ill = await seedOverPage(context, desks, sites, users[0]!)
  const asking = await seedForms(context, desks, sites, users[0]!)
  await seedSwap(sites, widgetIds, users[0]!)
  await seedHandover(context, sites, users[0]!)
  await seedVisits(context)
  return [...installs, ...ill, ...asking]
}

async function seedPeople(): Promise<string[]> {
  await Instance.upsert({ key: AGENCY, value: agency })
  const made = []
  for (const { password, ...person } of people)
    made.push(await User.create({ ...person, passwordHash: await hashPassword(password) }))
  return made.map((u) => u.id)
}

/** Sorts of sources by the hosts of the stand-ins; the others have feeds. */
const KINDS: Record<string, string> = {
  'skerrow-guide': 'structured-data',
  'harbour-voices': 'review-service',
  'isle-frames': 'photo-service',
  'moving-shore': 'video-feed',
}

async function seedSources(context: Context, desks: Desks): Promise<Record<SourceName, string>> {
  const ids = {} as Record<SourceName, string>
  const told = Date.now() // what fails later counts by address how often it was asked for
  for (const [name, { host, path }] of Object.entries(feeds) as [
    keyof typeof feeds,
    { host: string; path: string },
  ][]) {
    const url = desks.siteOrigin(host) + path
    const kind = KINDS[host] ?? 'feed'
    const source = await addSource(context, name === 'weather' ? `${url}?${told}` : url, kind)
    if (host === 'skerrow-post') await source.update({ folder: 'Papers' })
    ids[name] = source.id
  }
  await refreshSource(context, ids.weather)
  await seedGuestBook(context)
  ids.shelf = await seedShelf(context, desks)
  return ids
}

/** What visitors wrote on paper, typed by hand; no widget shows it yet. */
async function seedGuestBook(context: Context): Promise<void> {
  const source = await beginKept(context, 'Windle Knot guest book')
  for (const review of guestBook) await putTyped(context, source, review)
}

/** What the museum recommends, in its order; a pick that is added stands first. */
async function seedShelf(context: Context, desks: Desks): Promise<string> {
  const collection = await beginCollection(context, 'The knot museum’s shelf')
  const [frames, post, films] = ['isle-frames', 'skerrow-post', 'moving-shore'].map((host) => desks.siteOrigin(host))
  for (const pick of shelf({ frames: frames!, post: post!, films: films! }).reverse())
    await putPick(context, collection, TypedPick.parse(pick))
  return collection.id
}

async function seedWidgets(
  context: Context,
  sourceIds: Record<SourceName, string>,
  userId: string,
): Promise<Record<string, string>> {
  const ids: Record<string, string> = {}
  for (const [name, { kind, starter, feeds: from, mosts, settings }] of Object.entries(widgets)) {
    const widget = await makeWidget(context, { kind, starter, name }, userId)
    const sources = {
      ...(kindOf(kind)!.content ? { sources: from.map((f) => sourceIds[f]) } : {}),
      ...(mosts ? { mosts: Object.entries(mosts).map(([f, most]) => ({ id: sourceIds[f as SourceName], most })) } : {}),
    }
    await saveDraft(context, widget, { settings: { ...widget.draft, ...settings, ...sources }, version: 1 })
    await publish(context, widget.id, widget.draftVersion, userId)
    ids[name] = widget.id
  }
  const again = (await Widget.findByPk(ids['Wind and weather']))!
  await saveDraft(context, again, { settings: { ...draftOf(again), count: 3 }, version: again.draftVersion })
  await publish(context, again.id, again.draftVersion, userId)
  // One draft that is ahead of its release.
  const ahead = (await Widget.findByPk(ids['Island headlines']))!
  await saveDraft(context, ahead, {
    settings: { ...draftOf(ahead), count: 6, author: true },
    version: ahead.draftVersion,
  })
  return ids
}
