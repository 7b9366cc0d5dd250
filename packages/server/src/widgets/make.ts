import { record } from '../activity/record'
import { settingsOf } from '@pebblestrand/core/kinds'
import { recomputeWidget } from '../artefacts/queue-recompute'
import type { Context } from '../platform/context'
import { kindFor, linkSources, requireSources } from './draft'
import { Widget } from './models'
import { freeName } from './name'
import { requireStarter } from './starters'

interface Wanted {
  kind: string
  starter?: string | null
  name?: string | null
  /** Sources to show from the first. */
  sources?: string[] | undefined
}

/** Makes a widget whose draft is a starter's settings. */
export async function makeWidget(context: Context, wanted: Wanted, userId: string): Promise<Widget> {
  const kind = kindFor(wanted.kind)
  const settings = await requireStarter(kind, wanted.starter)
  // Content that is known already: the setting that names sources takes it.
  const key = settingsOf(kind).find(({ meta }) => meta.control.type === 'sources')?.key
  const kept = key && wanted.sources?.length ? { [key]: wanted.sources } : {}
  const name = await freeName(wanted.name ?? `New ${kind.name.toLowerCase()}`)
  const draft = kind.settings.parse({ ...settings, ...kept }) as Record<string, unknown>
  await requireSources(kind, draft)
  return context.db.transaction(async (transaction) => {
    const made = await Widget.create(
      {
        kind: kind.id,
        name,
        draft,
        kindVersion: kind.version,
        starter: wanted.starter ?? null,
        createdBy: userId,
      },
      { transaction },
    )
    await linkSources(made, transaction)
    await record('created', { userId, widgetId: made.id }, transaction)
    await recomputeWidget(context, made.id, transaction)
    return made
  })
}

/** Another widget with the same draft; of what was published and installed it has nothing. */
export async function copyWidget(context: Context, from: Widget, userId: string): Promise<Widget> {
  const name = await freeName(`${from.name}, copy`.slice(0, 76))
  return context.db.transaction(async (transaction) => {
    const { kind, draft, draftUnfinished, kindVersion, starter } = from
    const copied = { kind, draft, draftUnfinished, kindVersion, starter }
    const made = await Widget.create({ ...copied, name, createdBy: userId }, { transaction })
    await linkSources(made, transaction)
    await record('copied', { userId, widgetId: made.id, data: { from: from.name } }, transaction)
    await recomputeWidget(context, made.id, transaction)
    return made
  })
}
