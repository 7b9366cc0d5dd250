import { itemId, type Entry, type Item } from './item'

/** What is stored of one source, in the order its server gives it: as the source lists it, what it dropped behind. */
export interface SourceEntries {
  sourceId: string
  entries: readonly Entry[]
}

/**
 * The items of several sources as one list: source by source in the settings' order, each in its own. Bench and server
 * gather with this, so that items which nothing else sets in order (undated ones, for instance) stand alike in both.
 */
export function gather(sourceIds: readonly string[], stored: readonly SourceEntries[]): Item[] {
  const bySource = new Map(stored.map((s) => [s.sourceId, s.entries]))
  return [...new Set(sourceIds)].flatMap((sourceId) =>
    (bySource.get(sourceId) ?? []).map(({ key, ...rest }) => ({ id: itemId(sourceId, key), ...rest })),
  )
}
