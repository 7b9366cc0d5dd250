import { feed } from './feed'
import { structuredData } from './structured-data'
import type { SourceKind } from './source-kind'

/** Every sort of source, by id, in the order in which pasted text is offered to them. Adding one: its file and a line here. */
export const sourceKinds: Record<string, SourceKind> = {
  [feed.id]: feed,
  [structuredData.id]: structuredData,
}
