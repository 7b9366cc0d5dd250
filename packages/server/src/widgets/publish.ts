import { isDeepStrictEqual } from 'node:util'
import { record } from '../activity/record'
import { recomputeForWidget } from '../delivery/compute'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { parse } from '../platform/http/parse'
import { kindFor, linkSources } from './draft'
import { Release, Widget } from './models'

/** Makes the draft the next release and brings what its installs serve up to date. */
export async function publish(context: Context, widgetId: string, version: number, userId: string): Promise<Release> {
  const release = await context.db.transaction(async (transaction) => {
    const widget = await Widget.findByPk(widgetId, { transaction, lock: transaction.LOCK.UPDATE })
    if (!widget) throw new AppError('not-found')
    if (widget.draftVersion !== version)
      throw new AppError('draft-changed', {
        data: { settings: widget.draft, version: widget.draftVersion, savedAt: widget.draftSavedAt },
      })
    const settings = parse(kindFor(widget.kind).settings, widget.draft)
    if ('sources' in settings && !(settings.sources as string[]).length) throw new AppError('no-source')
    const last = await Release.findOne({ where: { widgetId }, order: [['number', 'DESC']], transaction })
    if (last && isDeepStrictEqual(last.settings, settings)) throw new AppError('nothing-to-publish')
    const made = await Release.create(
      { widgetId, number: (last?.number ?? 0) + 1, settings, publishedBy: userId },
      { transaction },
    )
    await linkSources(widget, transaction)
    await record('published', { userId, widgetId, data: { number: made.number } }, transaction)
    return made
  })
  await recomputeForWidget(context, widgetId)
  return release
}
