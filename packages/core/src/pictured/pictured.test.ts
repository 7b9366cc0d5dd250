import { XMLValidator } from 'fast-xml-parser'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { drawPicture, linesOf, picturedAsText, row, textWidth, type Pictured } from './index'

const colours = { text: '#1d2b34', background: '#ffffff', accent: '#17665a' }
const badge: Pictured = {
  heading: 'Guests say',
  rows: [row({ lead: '4.6', stars: 4.6, text: '128 reviews' })],
  rightToLeft: false,
}

describe('lines', () => {
  it('are never wider than they may be, and lose no word that fits', () => {
    const words = fc.array(fc.stringMatching(/^[A-Za-zé]{1,14}$/), { minLength: 1, maxLength: 30 })
    fc.assert(
      fc.property(words, fc.integer({ min: 60, max: 400 }), fc.integer({ min: 1, max: 4 }), (all, width, most) => {
        const lines = linesOf(all.join(' '), width, most, 14)
        expect(lines.length).toBeLessThanOrEqual(most)
        for (const line of lines) expect(textWidth(line, 14)).toBeLessThanOrEqual(width)
        if (!lines.at(-1)!.endsWith('…')) expect(lines.join(' ')).toBe(all.join(' '))
      }),
    )
  })
  it('are cut with an ellipsis', () => {
    expect(linesOf('The ferry to the north harbour waits for the tide', 120, 2, 14)).toEqual([
      'The ferry to the',
      'north harbour wai…',
    ])
    expect(linesOf('', 120, 2, 14)).toEqual([])
  })
})

describe('a picture', () => {
  it('says what the widget says, with stars to the nearest half', () => {
    const { svg } = drawPicture(badge, 300, colours)
    expect(svg).toContain('>4.6</text>')
    expect(svg).toContain('>128 reviews</text>')
    expect(svg.match(/fill="#17665a"\/>/g)).toHaveLength(5) // four whole and a half
    expect(picturedAsText(badge)).toBe('Guests say. 4.6 128 reviews')
    const said = { ...badge, rows: [{ ...badge.rows[0]!, said: '4.6 of 5 stars, 128 reviews' }] }
    expect(picturedAsText(said)).toBe('Guests say. 4.6 of 5 stars, 128 reviews')
  })
  it('is no wider than a mail shows, and grows with what it says', () => {
    const long = { ...badge, heading: 'What guests of the ferry say of crews, tea and tides. '.repeat(3) }
    expect(drawPicture(long, 2000, colours).width).toBe(600)
    expect(drawPicture(badge, 10, colours).width).toBe(120)
    // As wide as it wants, on one line.
    const { width, height } = drawPicture(badge, 2000, colours)
    expect(width).toBeGreaterThan(200)
    expect(width).toBeLessThan(300)
    expect(drawPicture(badge, width, colours).height).toBe(height)
    expect(drawPicture(badge, width - 30, colours).height).toBeGreaterThan(height)
    const more = { ...badge, rows: [...badge.rows, row({ text: 'Second ramp opens', note: '3 March' })] }
    expect(drawPicture(more, 300, colours).height).toBeGreaterThan(drawPicture(badge, 300, colours).height)
  })
  // XML 1.0 as a parser of the registry reads it.
  it('is well-formed, whatever it says', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), fc.boolean(), (words, rightToLeft) => {
        const { svg } = drawPicture(
          { heading: words, rows: [row({ text: words, end: words })], rightToLeft },
          300,
          colours,
        )
        expect(XMLValidator.validate(svg)).toBe(true)
      }),
    )
  })
})
