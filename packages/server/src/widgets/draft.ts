import { kindOf, type Kind } from '@pebblestrand/core/kinds'
import type { Sequelize, Transaction } from 'sequelize'
import { AppError } from '../platform/errors'
import { parse } from '../platform/http/parse'
import { Source } from '../sources/models'
import { Release, Widget, WidgetSource, type Settings } from './models'

export function kindFor(id: string): Kind {
  const kind = kindOf(id)
  if (!kind)
    throw new AppError('invalid', {
      message: `There is no widget kind called ${id}.`,
      issues: [{ field: 'kind', message: 'is not a kind we have' }],
    })
  return kind
}

/**
 * Saves a draft over the version it was begun from; `noting` is done in the same transaction.
 * Another version in between: `draft-changed`, and nothing is overwritten.
 */
export async function saveDraft(
  db: Sequelize,
  widget: Widget,
  change: { settings: unknown; version: number },
  noting: (transaction: Transaction) => Promise<void> = async () => {},
): Promise<Widget> {
  const settings = parse(kindFor(widget.kind).settings, change.settings)
  await requireSources(settings)
  return db.transaction(async (transaction) => {
    const [rows] = await Widget.update(
      { draft: settings, draftVersion: change.version + 1, draftSavedAt: new Date() },
      { where: { id: widget.id, draftVersion: change.version }, transaction },
    )
    await widget.reload({ transaction })
    if (!rows)
      throw new AppError('draft-changed', {
        data: { settings: widget.draft, version: widget.draftVersion, savedAt: widget.draftSavedAt },
      })
    await linkSources(widget, transaction)
    await noting(transaction)
    return widget
  })
}

async function requireSources(settings: Settings): Promise<void> {
  const ids = (settings.sources as string[] | undefined) ?? []
  const known = await Source.count({ where: { id: ids } })
  if (known !== new Set(ids).size)
    throw new AppError('invalid', {
      message: 'sources: one of them does not exist any more.',
      issues: [{ field: 'sources', message: 'one of them does not exist any more' }],
    })
}

/** Keeps the table of used sources in step with the draft and every release. */
export async function linkSources(widget: Widget, transaction: Transaction): Promise<void> {
  const releases = await Release.findAll({ attributes: ['settings'], where: { widgetId: widget.id }, transaction })
  const ids = new Set(
    [widget.draft, ...releases.map((r) => r.settings)].flatMap((s) => (s.sources as string[] | undefined) ?? []),
  )
  await WidgetSource.destroy({ where: { widgetId: widget.id }, transaction })
  await WidgetSource.bulkCreate(
    [...ids].map((sourceId) => ({ widgetId: widget.id, sourceId })),
    { transaction },
  )
}
