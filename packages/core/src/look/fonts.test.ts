import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { describe, expect, it } from 'vitest'
import { shippedFace, shippedFonts, type ShippedFont } from './fonts'

const { resolve } = createRequire(import.meta.url)
const ids = Object.keys(shippedFonts) as ShippedFont[]
const fileIn = (source: string, file: string) => resolve(`@fontsource-variable/${source}/${file}`)

describe('shipped faces', () => {
  it.each(ids)('%s has a file for each of its parts, with the letters its publisher says', (id) => {
    const { source } = shippedFonts[id]
    const ranges = Object.values(
      JSON.parse(readFileSync(fileIn(source, 'unicode.json'), 'utf8')) as Record<string, string>,
    )
    const { file, range, more } = shippedFace(id)
    for (const one of [{ file, range }, ...more]) {
      expect(
        readFileSync(fileIn(source, `files/${one.file}`))
          .subarray(0, 4)
          .toString(),
      ).toBe('wOF2')
      expect(ranges).toContain(one.range)
    }
  })
  it('at least eight cover Latin, Greek and Cyrillic', () => {
    const wide = ids.filter((id) =>
      ['greek', 'cyrillic'].every((one) => shippedFonts[id].subsets.includes(one as 'greek')),
    )
    expect(wide.length).toBeGreaterThanOrEqual(8)
  })
})
