import { Op, type Transaction } from 'sequelize'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { Release, type Widget } from '../widgets/models'
import { rendererFor, type Renderer } from './render-widget'

export interface Shown {
  name: string
  renderer: Renderer
}

/** By number: the newest release, and every other that an install is held at. */
export async function shownReleases(
  context: Context,
  widget: Widget,
  newest: Shown & { number: number },
  transaction: Transaction,
): Promise<Map<number, Shown>> {
  const shown = new Map<number, Shown>([[newest.number, newest]])
  const held = await Install.findAll({
    attributes: ['heldRelease'],
    where: { widgetId: widget.id, heldRelease: { [Op.ne]: null }, status: { [Op.ne]: 'retired' } },
    group: ['heldRelease'],
    transaction,
  })
  const numbers = held.flatMap(({ heldRelease }) => (heldRelease === newest.number ? [] : (heldRelease ?? [])))
  const releases = await Release.findAll({ where: { widgetId: widget.id, number: numbers }, transaction })
  for (const release of releases) {
    const name = release.name ?? widget.name
    const renderer = await rendererFor(context, { kind: widget.kind, name }, release, transaction)
    if (renderer) shown.set(release.number, { name, renderer })
  }
  return shown
}
