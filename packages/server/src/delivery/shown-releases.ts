import { Op, type Transaction } from 'sequelize'
import { Install } from '../installs/models'
import { Release, type Widget } from '../widgets/models'
import { readInputs, type WidgetInputs } from './render-widget'

/** By number: the newest release, and every other that an install is held at, with what each is rendered from. */
export async function shownReleases(
  widget: Widget,
  newest: { number: number; inputs: WidgetInputs },
  transaction: Transaction,
): Promise<Map<number, WidgetInputs>> {
  const shown = new Map([[newest.number, newest.inputs]])
  const held = await Install.findAll({
    attributes: ['heldRelease'],
    where: { widgetId: widget.id, heldRelease: { [Op.ne]: null }, status: { [Op.ne]: 'retired' } },
    group: ['heldRelease'],
    transaction,
  })
  const numbers = held.flatMap(({ heldRelease }) => (heldRelease === newest.number ? [] : (heldRelease ?? [])))
  const releases = await Release.findAll({ where: { widgetId: widget.id, number: numbers }, transaction })
  for (const release of releases) {
    const inputs = await readInputs({ kind: widget.kind, name: release.name ?? widget.name }, release, transaction)
    if (inputs) shown.set(release.number, inputs)
  }
  return shown
}
