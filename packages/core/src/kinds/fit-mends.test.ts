import { describe, expect, it } from 'vitest'
import { fit } from '../layout'
import { fitMends } from './fit-mends'
import { headlines } from './headlines'
import { kindList, kindOf } from './list'
import type { Settings } from './kind'

const wall = kindOf('photo-wall')!
const mends = (settings: object, width: number, kind = wall) =>
  fitMends(kind, kind.settings.parse(settings) as Settings, width)

describe('what would make a widget fit, by one press', () => {
  it('is nothing where it fits', () => expect(mends({ columns: 4 }, 900)).toEqual([]))
  it('is fewer columns, or a smaller gap where that is enough', () =>
    expect(mends({ columns: 4, gap: 24 }, 384)).toEqual([
      { words: 'Make it 3 columns', change: { columns: 3 } },
      { words: 'A gap of 8 px', change: { gap: 8 } },
    ]))
  it('leaves out what makes a cell wide', () =>
    expect(mends({ columns: 3, gap: 8, caption: 'below' }, 300).map(({ change }) => change)).toEqual([
      { columns: 2 },
      { caption: 'none' },
    ]))
  it('gives up columns that were given for narrow places', () =>
    expect(mends({ columns: 4, columnsPhone: '4' }, 300)).toContainEqual({
      words: 'As many columns as fit on a phone',
      change: { columnsPhone: 'fit' },
    }))
  it('sets a headline’s picture on top', () =>
    expect(mends({ layout: 'list', picture: 'left' }, 200, kindOf('headlines')!)).toEqual([
      { words: 'Put the picture on top', change: { picture: 'top' } },
    ]))
  it('is nothing where only a wider placement would do', () =>
    expect(mends({ layout: 'list', picture: 'none' }, 90, kindOf('headlines')!)).toEqual([]))
  it('of any kind, at any width, does what it says', () => {
    for (const kind of Object.values(kindList)) {
      if (!kind.box) continue
      for (const starter of kind.starters)
        for (let width = 80; width < 1200; width += 40) {
          const settings = kind.settings.parse(starter.settings) as Settings
          const before = fit(width, kind.box.fit(settings)).verdict
          for (const { change } of fitMends(kind, settings, width)) {
            const mended = kind.settings.parse({ ...settings, ...change }) as Settings
            const after = fit(width, kind.box.fit(mended)).verdict
            expect([before, after], `${kind.id} ${starter.id} ${width}`).not.toEqual([before, before])
          }
        }
    }
    expect(headlines.box!.relief).toBeDefined()
  })
})
