import { settingsOf } from './brief'
import type { ControlType } from './controls'
import type { Kind, Settings } from './kind'

/** Controls of what belongs to certain content and not to a design. */
const OF_CONTENT = new Set<ControlType>(['sources', 'items', 'item-links', 'source-mosts', 'widget'])

/** Names of the settings that hang on certain content: its sources, single items, another widget. */
export const contentKeys = (kind: Pick<Kind, 'settings'>): string[] =>
  settingsOf(kind)
    .filter(({ meta }) => OF_CONTENT.has(meta.control.type))
    .map(({ key }) => key)

/** Names of the settings that no other design, nor the look it began with, takes back: its content, and what was written for it. */
export const ownKeys = (kind: Pick<Kind, 'settings'>): string[] => [
  ...contentKeys(kind),
  ...settingsOf(kind)
    .filter(({ meta }) => meta.written)
    .map(({ key }) => key),
]

/** Settings without what hangs on certain content: what can be used with other content. */
export function designOf(kind: Pick<Kind, 'settings'>, settings: Settings): Settings {
  const left = new Set(contentKeys(kind))
  return Object.fromEntries(Object.entries(settings).filter(([key]) => !left.has(key)))
}

export interface Redesigned {
  settings: Settings
  /** Labels of settings that were changed by hand and that the new design decides otherwise. */
  replaced: string[]
}

const isSame = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/**
 * Another design for a widget. What was changed by hand since the design it began from stays, wherever the new one says nothing
 * of its own; its content stays, and what was written for it. What the new one decides otherwise is told.
 * @param from settings of the design it began from; {} for the kind's own defaults
 * @param to settings of the new one
 */
export function redesigned(kind: Pick<Kind, 'settings'>, settings: Settings, from: Settings, to: Settings): Redesigned {
  const before = kind.settings.parse(designOf(kind, from)) as Settings
  const after = kind.settings.parse(designOf(kind, to)) as Settings
  const kept = new Set(contentKeys(kind))
  const replaced: string[] = []
  const chosen = settingsOf(kind).map(({ key, meta }) => {
    if (kept.has(key)) return [key, settings[key]]
    const byHand = !isSame(settings[key], before[key])
    const decides = Object.hasOwn(to, key) && !meta.written
    if (byHand && !decides) return [key, settings[key]]
    if (byHand && !isSame(settings[key], after[key])) replaced.push(meta.label)
    return [key, after[key]]
  })
  return { settings: Object.fromEntries(chosen) as Settings, replaced }
}
