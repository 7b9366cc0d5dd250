import { settingsOf } from './brief'
import { wordsFor, type BriefContext } from './controls'
import type { Kind } from './kind'

export interface Change {
  key: string
  label: string
  before: string
  after: string
}

/** What differs between two settings of one kind, in the brief's words and order. */
export function difference(
  kind: Pick<Kind, 'settings'>,
  before: Record<string, unknown>,
  after: Record<string, unknown>,
  context: BriefContext,
): Change[] {
  return settingsOf(kind)
    .filter(({ key }) => JSON.stringify(before[key]) !== JSON.stringify(after[key]))
    .map(({ key, meta }) => ({
      key,
      label: meta.label,
      before: wordsFor(meta.control, before[key], context),
      after: wordsFor(meta.control, after[key], context),
    }))
}

/** What a widget is called belongs to its release as well: visitors' screen readers say it. */
export const renamed = (before: string, after: string): Change[] =>
  before === after ? [] : [{ key: 'name', label: 'Name', before, after }]
