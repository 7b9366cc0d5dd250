import { QueryTypes, type Transaction } from 'sequelize'
import type { Widget } from '../widgets/models'
import { Artefact, type ArtefactFacts } from '../artefacts/models'
import type { Renderer } from './render-widget'
import type { NewArtefact } from '../artefacts/store-artefacts'

/** Of the release that is served already, the last good copy stays where nothing is left: for these there is nothing to store. */
export async function unlessGood(made: readonly NewArtefact[], transaction: Transaction): Promise<NewArtefact[]> {
  const there = await Artefact.findAll({
    attributes: ['publicId', 'facts'],
    where: { publicId: [...new Set(made.map(({ publicId }) => publicId))] },
    transaction,
  })
  const sayRelease = ({ widget, release }: ArtefactFacts) => `${widget} ${release}`
  const good = new Map(there.map(({ publicId, facts }) => [publicId, facts.empty ? '' : sayRelease(facts)]))
  return made.filter(({ publicId, facts }) => good.get(publicId) !== sayRelease(facts))
}

/** A release that showed something and shows nothing any more is told of until it does again, or another one is published. */
export async function noteEmptiness(
  widget: Widget,
  { isEmpty }: Pick<Renderer, 'isEmpty'>,
  release: number,
  transaction: Transaction,
): Promise<void> {
  const had = isEmpty ? await showedSome(widget, release, transaction) : false
  const emptiedAt = had ? (widget.emptiedAt ?? new Date()) : null
  if (widget.emptiedAt?.getTime() !== emptiedAt?.getTime()) await widget.update({ emptiedAt }, { transaction })
}

const SHOWED_SOME = `
SELECT EXISTS (
  SELECT 1 FROM artefacts a JOIN installs i ON i.id = a.install_id
  WHERE i.widget_id = :id AND i.status <> 'retired' AND (a.facts ->> 'release')::int = :release AND a.facts ->> 'empty' IS NULL
) AS there`

async function showedSome({ id, sequelize }: Widget, release: number, transaction: Transaction): Promise<boolean> {
  const [row] = await sequelize.query<{ there: boolean }>(SHOWED_SOME, {
    replacements: { id, release },
    type: QueryTypes.SELECT,
    transaction,
  })
  return row!.there
}
