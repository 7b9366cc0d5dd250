import { kindOf, readSettings, type Kind, type Settings, type Unfinished } from '@pebblestrand/core/kinds'
import type { Transaction } from 'sequelize'
import { recomputeWidget } from '../artefacts/queue-recompute'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { parse } from '../platform/http/parse'
import { Source } from '../sources/models'
import { Release, Widget, WidgetSource } from './models'

export function kindFor(id: string): Kind {
  const kind = kindOf(id)
  if (!kind)
    throw new AppError('invalid', {
      message: `There is no widget kind called ${id}.`,
      issues: [{ field: 'kind', message: 'is not a kind we have' }],
    })
  return kind
}

interface Stored {
  settings: Settings
  kindVersion: number
}

/** Stored settings as their kind has them now. Those of a kind that is not known here stay as they are. */
export function settingsOf(kindId: string, { settings, kindVersion }: Stored): Settings {
  const kind = kindOf(kindId)
  return kind ? readSettings(kind, settings, kindVersion) : settings
}

export const draftOf = (widget: Widget): Settings =>
  settingsOf(widget.kind, { settings: widget.draft, kindVersion: widget.kindVersion })

const sourceIdsOf = (kindId: string, stored: Stored): string[] =>
  kindOf(kindId)?.content?.sourceIds(settingsOf(kindId, stored)) ?? []

export const describeDraft = (widget: Widget) => ({
  settings: draftOf(widget),
  unfinished: widget.draftUnfinished,
  version: widget.draftVersion,
  savedAt: widget.draftSavedAt,
})

/** What a person who was overtaken is given: the draft that is there. */
export const draftChanged = (widget: Widget) =>
  new AppError('draft-changed', {
    data: describeDraft(widget),
  })

/**
 * Saves a draft over the version it was begun from; `noting` is done in the same transaction.
 * Another version in between: `draft-changed`, and nothing is overwritten.
 */
export async function saveDraft(
  context: Pick<Context, 'db' | 'queue'>,
  widget: Widget,
  change: { settings: unknown; unfinished?: Unfinished; version: number },
  noting: (transaction: Transaction) => Promise<void> = async () => {},
): Promise<Widget> {
  const kind = kindFor(widget.kind)
  const settings = parse(kind.settings, change.settings)
  await requireSources(kind, settings)
  const draftUnfinished = ofKind(kind, change.unfinished ?? {})
  return context.db.transaction(async (transaction) => {
    const [rows] = await Widget.update(
      {
        draft: settings,
        draftUnfinished,
        kindVersion: kind.version,
        draftVersion: change.version + 1,
        draftSavedAt: new Date(),
      },
      { where: { id: widget.id, draftVersion: change.version }, transaction },
    )
    await widget.reload({ transaction })
    if (!rows) throw draftChanged(widget)
    await linkSources(widget, transaction)
    // Until there is a release, lists show the draft.
    if (!(await Release.count({ where: { widgetId: widget.id }, transaction })))
      await recomputeWidget(context, widget.id, transaction)
    await noting(transaction)
    return widget
  })
}

/** Settings that the kind has; whatever else is sent along is not kept. */
const ofKind = ({ settings }: Kind, unfinished: Unfinished): Unfinished =>
  Object.fromEntries(Object.entries(unfinished).filter(([key]) => Object.hasOwn(settings.shape, key)))

export async function requireSources(kind: Kind, settings: Settings): Promise<void> {
  const ids = kind.content?.sourceIds(settings) ?? []
  const known = await Source.count({ where: { id: ids } })
  if (known !== new Set(ids).size)
    throw new AppError('invalid', {
      message: 'sources: one of them does not exist any more.',
      issues: [{ field: 'sources', message: 'one of them does not exist any more' }],
    })
}

/** Keeps the table of used sources in step with the draft and every release. */
export async function linkSources(widget: Widget, transaction: Transaction): Promise<void> {
  const releases = await Release.findAll({
    attributes: ['settings', 'kindVersion'],
    where: { widgetId: widget.id },
    transaction,
  })
  const there = await Source.findAll({ attributes: ['id'], where: { id: usedSources(widget, releases) }, transaction })
  await WidgetSource.destroy({ where: { widgetId: widget.id }, transaction })
  await WidgetSource.bulkCreate(
    there.map(({ id }) => ({ widgetId: widget.id, sourceId: id })),
    { transaction },
  )
}

/** The sources that draft or releases read. */
export const usedSources = (widget: Widget, releases: readonly Stored[]): string[] => [
  ...new Set(
    [{ settings: widget.draft, kindVersion: widget.kindVersion }, ...releases].flatMap((one) =>
      sourceIdsOf(widget.kind, one),
    ),
  ),
]
