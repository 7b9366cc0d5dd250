import type { Context } from '../platform/context'
import { Instance, User } from '../accounts/models'
import { hashPassword } from '../accounts/password'
import { AGENCY } from '../accounts/setup'
import { kinds } from '@pebblestrand/core/kinds'
import { addSource, refreshSource } from '../sources/refresh'
import type { Site } from '../sites/models'
import { saveDraft } from '../widgets/draft'
import { Widget } from '../widgets/models'
import { publish } from '../widgets/publish'
import { Desks } from './desk'
import { agency, people } from './people'
import { seedInstalls } from './seed-installs'
import { seedSite } from './seed-sites'
import { feeds, widgets, type FeedName } from './story'

/** Any number; keeps two processes from telling the story at once. */
const LOCK = 4_600_002

/** Tells the demo's story on an empty database, through the same functions the interface uses. */
export async function seedDemo(context: Context): Promise<void> {
  if (await User.count()) return
  await context.db.transaction(async (transaction) => {
    await context.db.query('SELECT pg_advisory_xact_lock(:lock)', { replacements: { lock: LOCK }, transaction })
    if (!(await User.count())) await tell(context)
  })
}

async function tell(context: Context): Promise<void> {
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
  await seedInstalls(context, desks, sites, widgetIds, users)
}

async function seedPeople(): Promise<string[]> {
  await Instance.upsert({ key: AGENCY, value: agency })
  const made = []
  for (const { password, ...person } of people)
    made.push(await User.create({ ...person, passwordHash: await hashPassword(password) }))
  return made.map((u) => u.id)
}

async function seedSources(context: Context, desks: Desks): Promise<Record<FeedName, string>> {
  const ids = {} as Record<FeedName, string>
  const told = Date.now() // what fails later counts by address how often it was asked for
  for (const [name, { host, path }] of Object.entries(feeds) as [FeedName, (typeof feeds)[FeedName]][]) {
    const url = desks.siteOrigin(host) + path
    ids[name] = (await addSource(context, name === 'weather' ? `${url}?${told}` : url)).id
  }
  await refreshSource(context, ids.weather)
  return ids
}

async function seedWidgets(
  context: Context,
  sourceIds: Record<FeedName, string>,
  userId: string,
): Promise<Record<string, string>> {
  const ids: Record<string, string> = {}
  for (const [name, { starter, feeds: from, settings }] of Object.entries(widgets)) {
    const kind = kinds.headlines
    const begun = kind.settings.parse({
      ...kind.starters.find((s) => s.id === starter)!.settings,
      ...settings,
      include: 'include' in settings ? [...settings.include] : [],
    })
    const widget = await Widget.create({ kind: kind.id, name, draft: begun, starter, createdBy: userId })
    await saveDraft(context.db, widget, { settings: { ...begun, sources: from.map((f) => sourceIds[f]) }, version: 1 })
    await publish(context, widget.id, widget.draftVersion, userId)
    ids[name] = widget.id
  }
  // One draft that is ahead of its release.
  const ahead = (await Widget.findByPk(ids['Island headlines']))!
  await saveDraft(context.db, ahead, {
    settings: { ...ahead.draft, count: 6, author: true },
    version: ahead.draftVersion,
  })
  return ids
}
