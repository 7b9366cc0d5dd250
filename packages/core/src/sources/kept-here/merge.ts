import type { Entry } from '../../items'
import { sameness, type ReadRow } from './read-rows'

export interface Merged {
  /** As they are to be stored, under the keys of those they update. */
  entries: Entry[]
  added: number
  changed: number
  same: number
}

/** Rows of a file over what is there: by id, else by author and day, also where it was typed by hand. What the file lacks stays. */
export function merge(there: readonly Entry[], rows: readonly ReadRow[]): Merged {
  const byKey = new Map(there.map((entry) => [entry.key, entry]))
  const bySameness = new Map(there.filter(({ key }) => !key.startsWith('id:')).map((entry) => [sameness(entry), entry]))
  const taken = new Set<string>()
  const merged: Merged = { entries: [], added: 0, changed: 0, same: 0 }
  for (const { entry } of rows) {
    const alike = entry.key.startsWith('id:') || entry.key.includes('#') ? undefined : bySameness.get(sameness(entry))
    const before = byKey.get(entry.key) ?? (alike && !taken.has(alike.key) ? alike : undefined)
    if (!before) {
      merged.added++
      merged.entries.push(entry)
      continue
    }
    taken.add(before.key)
    const next = { ...entry, key: before.key }
    if (alikeInAll(before, next)) merged.same++
    else {
      merged.changed++
      merged.entries.push(next)
    }
  }
  return merged
}

const alikeInAll = (a: Entry, b: Entry) => written(a) === written(b)
/** In one order of its members, whatever order a store gave them. */
const written = ({ key: _, ...entry }: Entry) => JSON.stringify(sorted(entry))
const sorted = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(sorted)
    : value && typeof value === 'object'
      ? Object.fromEntries(
          Object.entries(value)
            .sort(([a], [b]) => (a < b ? -1 : 1))
            .map(([k, v]) => [k, sorted(v)]),
        )
      : value
