import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { columnSteps, fit, type FitSpec } from './fit'
import { rowsHeight } from './rows-height'
import { heightAt, masonry } from './masonry'
import { isSameWidth } from './same-width'
import { lineCount, textHeight } from './text-height'
import { wholeRows } from './whole-rows'

const spec = (more: Partial<FitSpec> = {}): FitSpec => ({ columns: 3, gap: 16, padding: 0, cellMin: 150, ...more })

it('a grid is as tall as the tallest of each row and the gaps between', () => {
  expect(rowsHeight([10, 20, 5], 2, 4)).toBe(29)
  expect(rowsHeight([10, 20, 5], 3, 4)).toBe(20)
  expect(rowsHeight([], 3, 4)).toBe(0)
})
it('widths that differ by a scroll bar are the same', () => {
  expect(isSameWidth(300, 288)).toBe(true)
  expect(isSameWidth(300, 313)).toBe(false)
})

describe('fit', () => {
  it('gives each of three columns in 720 px its share', () =>
    expect(fit(720, spec())).toMatchObject({ verdict: 'fits', columns: 3, cell: 229.33 }))
  it('takes the padding off both sides', () =>
    expect(fit(300, spec({ columns: 1, padding: 12 }))).toMatchObject({ verdict: 'fits', cell: 276 }))
  it('shows fewer columns where they get too small, and says what would fit', () =>
    expect(fit(300, spec())).toMatchObject({
      verdict: 'fewer',
      columns: 1,
      cell: 300,
      askedCell: 89.33,
      wantsWidth: 482,
    }))
  it('says when even one column is too narrow', () =>
    expect(fit(120, spec())).toMatchObject({ verdict: 'too-narrow', columns: 1, shownWants: 150 }))
  it('counts a width that is just enough as enough', () => {
    expect(fit(482, spec()).columns).toBe(3)
    expect(fit(481, spec()).columns).toBe(2)
  })

  const anySpec = fc.record({
    columns: fc.integer({ min: 1, max: 6 }),
    gap: fc.integer({ min: 0, max: 48 }),
    padding: fc.integer({ min: 0, max: 40 }),
    cellMin: fc.integer({ min: 40, max: 300 }),
  })
  it('agrees with the column steps that the style sheet gets, at any width', () => {
    fc.assert(
      fc.property(anySpec, fc.integer({ min: 40, max: 4000 }), (s, width) => {
        const stepped =
          columnSteps(s)
            .filter((step) => width >= step.from)
            .at(-1)?.columns ?? 1
        return stepped === fit(width, s).columns
      }),
    )
  })
  it('fills the width exactly with cells, gaps and padding', () => {
    fc.assert(
      fc.property(anySpec, fc.integer({ min: 400, max: 4000 }), (s, width) => {
        const { columns, cell } = fit(width, s)
        expect(columns * cell + (columns - 1) * s.gap + 2 * s.padding).toBeCloseTo(width, 0)
      }),
    )
  })
  it('never shows more columns in less width', () => {
    fc.assert(
      fc.property(
        anySpec,
        fc.integer({ min: 40, max: 3000 }),
        fc.integer({ min: 0, max: 500 }),
        (s, width, more) => fit(width, s).columns <= fit(width + more, s).columns,
      ),
    )
  })
})

describe('columns that somebody gave for narrower places', () => {
  const given = spec({ columns: 4, narrower: { phone: 2, tablet: 3 } })
  it('are shown as given below the width of a tablet and of a phone, whatever a cell then measures', () => {
    expect([320, 479, 480, 799, 800].map((width) => fit(width, given).columns)).toEqual([2, 2, 3, 3, 4])
    expect(fit(200, given)).toMatchObject({ verdict: 'too-narrow', asked: 2, columns: 2, shownWants: 316 })
  })
  it('leave the others to what fits', () =>
    expect(
      [320, 480, 640, 800].map((width) => fit(width, spec({ columns: 4, narrower: { phone: 2 } })).columns),
    ).toEqual([2, 2, 3, 4]))
})

describe('masonry', () => {
  const flat = (...ratios: number[]) => ratios.map((ratio) => ({ ratio, fixed: 0 }))
  it('puts each cell into the column that is the least high, the first of those as high', () => {
    const { places, columns } = masonry(flat(1, 2, 0.5, 1, 1), 3, 10, 200)
    expect(places.map(({ column }) => column)).toEqual([0, 1, 2, 2, 0])
    expect(places[4]!.top).toEqual({ ratio: 1, fixed: 10 })
    expect(columns).toEqual([
      { ratio: 2, fixed: 10 },
      { ratio: 2, fixed: 0 },
      { ratio: 1.5, fixed: 10 },
    ])
  })
  it('keeps reading order where all are nearly as high', () =>
    expect(masonry(flat(1, 1.02, 0.98, 1, 1, 1), 3, 10, 200).places.map(({ column }) => column)).toEqual([
      0, 1, 2, 0, 1, 2,
    ]))

  const cells = fc.array(fc.record({ ratio: fc.double({ min: 0.4, max: 2, noNaN: true }), fixed: fc.nat(80) }), {
    maxLength: 60,
  })
  it('never lets cells of one column overlap, and leaves no gap but the one asked for', () => {
    fc.assert(
      fc.property(cells, fc.integer({ min: 1, max: 6 }), fc.nat(40), (all, columns, gap) => {
        const { places } = masonry(all, columns, gap, 240)
        for (let column = 0; column < columns; column++) {
          let bottom = 0
          places.forEach((place, at) => {
            if (place.column !== column) return
            expect(heightAt(place.top, 300)).toBeCloseTo(bottom, 6)
            bottom += heightAt(all[at]!, 300) + gap
          })
        }
      }),
    )
  })
  it('no column is higher than another by more than a cell', () => {
    fc.assert(
      fc.property(cells, fc.integer({ min: 1, max: 6 }), (all, columns) => {
        const heights = masonry(all, columns, 0, 240).columns.map((one) => heightAt(one, 240))
        const tallest = Math.max(0, ...all.map((one) => heightAt(one, 240)))
        expect(Math.max(...heights) - Math.min(...heights)).toBeLessThanOrEqual(tallest + 0.1 * 240 + 1e-6)
      }),
    )
  })
})

describe('whole rows', () => {
  // Six in a row wants multiples of six: common practice in the trade.
  it.each([
    [6, 6, []],
    [7, 6, [6, 12]],
    [5, 6, [6]],
    [19, 6, [18]],
    [5, 1, []],
    [4, 3, [3, 6]],
  ])('%i items in %i columns', (count, columns, better) =>
    expect(wholeRows(count, [{ columns, extra: 0 }], 20)).toEqual(better),
  )

  it.each([
    [10, [2, 3, 4], 40, [12]],
    [13, [2, 3, 4], 40, [12, 24]],
    [12, [2, 3, 4], 40, []],
    [5, [4, 5, 6], 50, null],
  ])('%i items in each of %j columns, up to %i', (count, columns, most, better) =>
    expect(
      wholeRows(
        count,
        columns.map((n) => ({ columns: n, extra: 0 })),
        most,
      ),
    ).toEqual(better),
  )
  it('counts the places that a large one takes', () =>
    expect(wholeRows(8, [{ columns: 3, extra: 3 }], 20)).toEqual([6, 9]))
})

describe('height of text', () => {
  it('takes no lines for no letters', () => expect(lineCount(0, 300, 16)).toBe(0))
  it('takes one line for a short one and more for longer ones', () => {
    expect(lineCount(20, 300, 16)).toBe(1)
    expect(lineCount(100, 300, 16)).toBe(3)
  })
  it('grows as the width shrinks', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 2000 }),
        fc.integer({ min: 60, max: 900 }),
        (letters, width) => lineCount(letters, width, 16) >= lineCount(letters, width + 50, 16),
      ),
    )
  })
  it('is lines times line height, cut where asked', () => {
    expect(textHeight(100, 300, 16, 1.5)).toBe(72)
    expect(textHeight(1000, 300, 16, 1.5, 2)).toBe(48)
  })
})
