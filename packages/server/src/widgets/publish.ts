import { isDeepStrictEqual } from 'node:util'
import { standsForSample, toFinish } from '@pebblestrand/core/kinds'
import { record } from '../activity/record'
import { recomputeWidget } from '../artefacts/queue-recompute'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { draftChanged, draftOf, kindFor, linkSources, settingsOf } from './draft'
import { Release, Widget } from './models'

/** Makes the draft the next release, and queues in the same transaction that its installs show it. */
export async function publish(
  context: Context,
  widgetId: string,
  version: number,
  userId: string,
  note = '',
): Promise<Release> {
  return context.db.transaction(async (transaction) => {
    const widget = await Widget.findByPk(widgetId, { transaction, lock: transaction.LOCK.UPDATE })
    if (!widget) throw new AppError('not-found')
    if (widget.draftVersion !== version) throw draftChanged(widget)
    const kind = kindFor(widget.kind)
    const settings = draftOf(widget)
    if (standsForSample(kind, settings)) throw new AppError('no-source')
    const wrong = toFinish(kind, settings, Object.keys(widget.draftUnfinished))
    if (wrong.length) throw unfinished(wrong.map(({ label }) => label))
    const last = await Release.findOne({ where: { widgetId }, order: [['number', 'DESC']], transaction })
    if (
      last &&
      (last.name ?? widget.name) === widget.name &&
      isDeepStrictEqual(settingsOf(widget.kind, last), settings)
    )
      throw new AppError('nothing-to-publish')
    const made = await Release.create(
      {
        widgetId,
        number: (last?.number ?? 0) + 1,
        name: widget.name,
        settings,
        kindVersion: kind.version,
        publishedBy: userId,
        note,
      },
      { transaction },
    )
    await linkSources(widget, transaction)
    await record('published', { userId, widgetId, data: { number: made.number } }, transaction)
    await recomputeWidget(context, widgetId, transaction)
    return made
  })
}

const unfinished = (labels: readonly string[]) =>
  new AppError('unfinished', {
    message: `Nothing was published: ${labels.join(', ')} cannot be used as typed.`,
    issues: labels.map((field) => ({ field, message: 'cannot be used as typed' })),
  })
