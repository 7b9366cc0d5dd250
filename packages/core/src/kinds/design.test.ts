import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { contentKeys, designOf, redesigned } from './design'
import { kindList } from './list'
import { readStarterFile, StarterFile, starterFile } from './starter-file'

const headlines = kindList['headlines']!
const kinds = Object.values(kindList).map((kind) => [kind.id, kind] as const)
const source = '7f1f6c0a-3d55-4a0e-9d59-0f6e5f6f7a11'

describe('another design', () => {
  const [first, second] = [headlines.starters[0]!, headlines.starters[2]!]
  const begun = headlines.settings.parse({ ...first.settings, sources: [source] }) as Record<string, unknown>
  it('decides what it says, and leaves the content alone', () => {
    const { settings, replaced } = redesigned(headlines, begun, first.settings, second.settings)
    expect(settings).toMatchObject({ ...second.settings, sources: [source] })
    expect(replaced).toEqual([])
  })
  it('keeps what was changed by hand where it says nothing of that', () => {
    const changed = { ...begun, accent: '#102030', dateStyle: 'long' }
    const { settings, replaced } = redesigned(headlines, changed, first.settings, second.settings)
    expect(settings).toMatchObject({ accent: '#102030', dateStyle: 'long', columns: 3 })
    expect(replaced).toEqual([])
  })
  it('says what of it was decided otherwise', () => {
    const { settings, replaced } = redesigned(headlines, { ...begun, gap: 40 }, first.settings, second.settings)
    expect(settings.gap).toBe(24)
    expect(replaced).toEqual(['Gap'])
  })
  it('keeps the words that were written for this one, and gives its own where they are still the starter’s', () => {
    const dialog = kindList['centre-dialog']!
    const [one, other] = dialog.starters.filter(({ settings }) => 'heading' in settings)
    const begun = dialog.settings.parse({ ...one!.settings, heading: 'Ours' }) as Record<string, unknown>
    const { settings, replaced } = redesigned(dialog, begun, one!.settings, other!.settings)
    expect(settings.heading).toBe('Ours')
    expect(settings.body).toEqual((dialog.settings.parse({ ...other!.settings }) as Record<string, unknown>).body)
    expect(replaced).toEqual([])
  })
  it.each(kinds)('%s: from any starter to any other and back, every setting is one it takes', (_id, kind) => {
    for (const from of kind.starters)
      for (const to of kind.starters) {
        const settings = kind.settings.parse({ ...from.settings })
        expect(
          kind.settings.safeParse(redesigned(kind, settings as never, from.settings, to.settings).settings).success,
        ).toBe(true)
      }
  })
})

describe.each(kinds)('a starter of %s as a file', (_id, kind) => {
  it('is read as it was written, without what belongs to certain content', () => {
    for (const starter of kind.starters) {
      const settings = kind.settings.parse({ ...starter.settings }) as Record<string, unknown>
      const text = JSON.stringify(starterFile(kind, starter.name, settings))
      const read = readStarterFile(text)
      expect(read).toMatchObject({ kind: 'read', name: starter.name })
      if (read.kind !== 'read') return
      expect(kind.settings.parse(read.settings)).toEqual(kind.settings.parse(designOf(kind, settings)))
      for (const key of contentKeys(kind)) expect(read.settings).not.toHaveProperty(key)
    }
  })
})

describe('a file that is no starter', () => {
  const good = starterFile(headlines, 'Mine', {})
  it.each([
    ['', 'is not JSON'],
    ['[]', 'is no starter'],
    [JSON.stringify({ ...good, format: 'other' }), 'is no starter: format'],
    [JSON.stringify({ ...good, kind: 'nothing' }), 'not known here: nothing'],
    [JSON.stringify({ ...good, kindVersion: 99 }), 'newer Pebblestrand'],
  ])('%s', (text, says) =>
    expect(readStarterFile(text)).toMatchObject({ kind: 'fault', message: expect.stringContaining(says) as string }),
  )
  it('whatever is in it, nothing throws', () =>
    fc.assert(
      fc.property(fc.jsonValue(), (value) => ['read', 'fault'].includes(readStarterFile(JSON.stringify(value)).kind)),
    ))
  it('settings it cannot take are as usual', () => {
    const read = readStarterFile(JSON.stringify({ ...good, settings: { count: 'many', sources: [source], gap: 8 } }))
    expect(read).toMatchObject({ kind: 'read', settings: { count: 5, gap: 8 } })
  })
  it('the published schema is the one it is read by', () => {
    const published = JSON.parse(
      readFileSync(new URL('../../../../docs/starter-file.schema.json', import.meta.url), 'utf8'),
    ) as unknown
    expect(published).toEqual(z.toJSONSchema(StarterFile))
  })
})
