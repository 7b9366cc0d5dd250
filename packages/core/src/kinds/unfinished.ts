import type { Kind, Settings } from './kind'
import { settingsOf } from './brief'

/**
 * What was typed into settings and their kind cannot take (yet): kept as it was typed, by setting, and neither drawn nor
 * published. In its place the last value counts that it could take.
 */
export type Unfinished = Record<string, unknown>

/** What a kind finds wrong with settings: by setting, the first thing, with its place in a list. */
export function faultsIn(kind: Pick<Kind, 'settings'>, settings: Settings): Record<string, string> {
  const issues = kind.settings.safeParse(settings).error?.issues ?? []
  const faults: Record<string, string> = {}
  for (const { path, message } of issues) {
    const [key, ...within] = path
    if (key === undefined) continue // of the whole: no setting is to blame
    const at = within.find((step) => typeof step === 'number')
    faults[String(key)] ??= at === undefined ? message : `number ${at + 1} ${message}`
  }
  return faults
}

/**
 * What was typed, as it is stored.
 * @param before the settings that were good last
 */
export function parted(
  kind: Pick<Kind, 'settings'>,
  typed: Settings,
  before: Settings,
): { settings: Settings; unfinished: Unfinished } {
  const wrong = Object.keys(faultsIn(kind, typed))
  const only = (of: Settings) => Object.fromEntries(wrong.map((key) => [key, of[key]]))
  return { settings: { ...typed, ...only(before) }, unfinished: only(typed) }
}

/** What was typed, put together again. A value that is of another sort than the setting's, or of none, is left out. */
export function together(settings: Settings, unfinished: Unfinished): Settings {
  const fitting = Object.entries(unfinished).filter(
    ([key, value]) => key in settings && sortOf(value) === sortOf(settings[key]),
  )
  return { ...settings, ...(Object.fromEntries(fitting) as Settings) }
}

const sortOf = (value: unknown) => (Array.isArray(value) ? 'list' : value === null ? 'none' : typeof value)

/** Labels of unfinished settings that somebody is asked to finish: those that are in use as the others stand. */
export const toFinish = (kind: Kind, settings: Settings, keys: readonly string[]): { key: string; label: string }[] =>
  settingsOf(kind)
    .filter(({ key, meta }) => keys.includes(key) && (meta.when?.(settings) ?? true))
    .map(({ key, meta }) => ({ key, label: meta.label }))
