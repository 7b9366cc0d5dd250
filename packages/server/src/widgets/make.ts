import { record } from '../activity/record'
import { recomputeWidget } from '../delivery/queue-recompute'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { kindFor } from './draft'
import { Widget } from './models'
import { freeName } from './name'

interface Wanted {
  kind: string
  starter?: string | null
  name?: string | null
}

/** Makes a widget whose draft is a starter's settings. */
export async function makeWidget(context: Context, wanted: Wanted, userId: string): Promise<Widget> {
  const kind = kindFor(wanted.kind)
  const starter = kind.starters.find((s) => s.id === wanted.starter)
  if (wanted.starter && !starter)
    throw new AppError('invalid', { issues: [{ field: 'starter', message: 'is no starter of this kind' }] })
  const name = await freeName(wanted.name ?? `New ${kind.name.toLowerCase()}`)
  return context.db.transaction(async (transaction) => {
    const made = await Widget.create(
      {
        kind: kind.id,
        name,
        draft: kind.settings.parse(starter?.settings ?? {}) as Record<string, unknown>,
        kindVersion: kind.version,
        starter: starter?.id ?? null,
        createdBy: userId,
      },
      { transaction },
    )
    await record('created', { userId, widgetId: made.id }, transaction)
    await recomputeWidget(context, made.id, transaction)
    return made
  })
}
