import { cutWords, factsOf, isWholeFact, sourceKinds } from '@pebblestrand/core/sources'
import { QueryTypes, type Sequelize } from 'sequelize'
import { ItemRow, SourceAccount, type Source } from './models'

type Info = Pick<
  Source,
  | 'id'
  | 'kind'
  | 'title'
  | 'link'
  | 'url'
  | 'problem'
  | 'okAt'
  | 'intervalMinutes'
  | 'cut'
  | 'facts'
  | 'paused'
  | 'state'
  | 'accountId'
  | 'folder'
>

/** A source as a widget's bench knows it. */
export const sourceInfo = (source: Info, account: string | null = null) => {
  const { id, kind, title, link, url, problem, okAt, intervalMinutes, paused, folder } = source
  const facts = factsOf(source.facts)
  return {
    id,
    kind,
    gives: (sourceKinds[kind]?.gives ?? []).filter((given) => !isWholeFact(given) || facts[given] !== null),
    title,
    link,
    url,
    problem,
    okAt,
    intervalMinutes,
    ...facts,
    paused,
    account,
    connects: sourceKinds[kind]?.service !== undefined,
    folder,
    keptHere: sourceKinds[kind]?.interval === null,
    notes: [...cutWords(source.cut), ...partNote(source)],
  }
}

/** The service gives only some of what there is to anyone. */
function partNote({ state, accountId }: Info): string[] {
  const { given, total } = (state ?? {}) as { given?: number; total?: number }
  if (given === undefined || total === undefined || given >= total) return []
  const more = accountId
    ? 'It keeps the others to itself.'
    : 'Connect the account that owns the place, and all of them are read.'
  return [`The service gives the newest ${given} of ${total.toLocaleString('en')}. ${more}`]
}

const USED = `
SELECT ws.source_id AS "sourceId", w.id, w.name FROM widget_sources ws JOIN widgets w ON w.id = ws.widget_id
WHERE ws.source_id IN (:ids) ORDER BY w.name`

/** Sources with their health, how many items they hold, and which widgets hang on them. */
export async function describeSources(db: Sequelize, sources: readonly Source[]) {
  if (!sources.length) return []
  const ids = sources.map(({ id }) => id)
  const accountIds = sources.flatMap(({ accountId }) => accountId ?? [])
  const [counts, used, accounts] = await Promise.all([
    ItemRow.count({ where: { sourceId: ids }, group: ['sourceId'] }) as unknown as {
      sourceId: string
      count: number
    }[],
    db.query<{ sourceId: string; id: string; name: string }>(USED, { replacements: { ids }, type: QueryTypes.SELECT }),
    accountIds.length ? SourceAccount.findAll({ where: { id: accountIds } }) : [],
  ])
  return sources.map((source) => {
    const { id, format, fetchedAt, nextFetchAt, failures, accountId } = source
    return {
      ...sourceInfo(source, accounts.find((one) => one.id === accountId)?.name ?? null),
      format,
      fetchedAt,
      nextFetchAt,
      failures,
      count: Number(counts.find(({ sourceId }) => sourceId === id)?.count ?? 0),
      widgets: used.filter(({ sourceId }) => sourceId === id).map(({ id, name }) => ({ id, name })),
    }
  })
}

export const describeSource = async (db: Sequelize, source: Source) => (await describeSources(db, [source]))[0]!
