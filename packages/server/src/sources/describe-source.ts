import { cutWords } from '@pebblestrand/core/sources'
import { ItemRow, type Source } from './models'

/** A source as a widget's bench knows it. */
export const sourceInfo = ({ id, kind, title, link, url, problem, okAt, intervalMinutes, cut, rating }: Source) => ({
  id,
  kind,
  title,
  link,
  url,
  problem,
  okAt,
  intervalMinutes,
  rating,
  notes: cutWords(cut),
})

export async function describeSource(source: Source) {
  const { format, fetchedAt, nextFetchAt, failures } = source
  const count = await ItemRow.count({ where: { sourceId: source.id } })
  return { ...sourceInfo(source), format, fetchedAt, nextFetchAt, failures, count }
}
