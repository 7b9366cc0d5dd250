import { describe, expect, it } from 'vitest'
import { kindList } from './list'
import { settingsOf } from './brief'
import { faultsIn, parted, together, toFinish } from './unfinished'

/** Something of each control's sort that its setting refuses. */
const wrongly: Record<string, unknown> = {
  number: 1_000_000,
  colour: '#12',
  text: 'x'.repeat(20_000),
  words: Array.from({ length: 900 }, (_, at) => `word ${at}`),
}

describe.each(Object.values(kindList))('$id', (kind) => {
  const usual = kind.settings.parse({}) as Record<string, unknown>
  const typed = settingsOf(kind).flatMap(({ key, meta }) => {
    const wrong = wrongly[meta.control.type]
    const isRefused =
      wrong !== undefined && typeof wrong === typeof usual[key] && key in faultsIn(kind, { ...usual, [key]: wrong })
    return isRefused ? [[key, wrong] as const] : []
  })

  it('has settings that refuse something', () => expect(typed.length).toBeGreaterThan(0))
  it.each(typed)('%s: what was typed is kept beside what was good, and comes back', (key, wrong) => {
    const stored = parted(kind, { ...usual, [key]: wrong }, usual)
    expect(stored).toEqual({ settings: usual, unfinished: { [key]: wrong } })
    expect(kind.settings.safeParse(stored.settings).success).toBe(true)
    expect(together(stored.settings, stored.unfinished)).toEqual({ ...usual, [key]: wrong })
  })
})

describe('what is unfinished', () => {
  const kind = kindList['photo-wall']!
  const usual = kind.settings.parse({}) as Record<string, unknown>
  it('says which one of a list is wrong', () =>
    expect(
      faultsIn(kind, {
        ...usual,
        ownLinks: [
          { id: 'one:a', url: 'https://a.example/' },
          { id: 'one:b', url: ':' },
        ],
      }),
    ).toMatchObject({
      ownLinks: expect.stringMatching(/^number 2 /),
    }))
  it('of another sort than the setting, or of a setting that is gone, is left out', () =>
    expect(together(usual, { columns: 'three', gone: 1, accent: '#1' })).toEqual({ ...usual, accent: '#1' }))
  it('is asked for only where the setting is in use', () => {
    const hidden = settingsOf(kind).find(({ meta }) => meta.when && !meta.when(usual))!
    const shown = settingsOf(kind).find(({ meta }) => !meta.when)!
    expect(toFinish(kind, usual, [hidden.key, shown.key])).toEqual([{ key: shown.key, label: shown.meta.label }])
  })
})
