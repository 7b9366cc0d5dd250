import { wcagContrast, wcagLuminance } from 'culori'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { channels, contrast, contrastVerdict, luminance } from './contrast'

const colour = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`)

describe('contrast', () => {
  // WCAG 2.2, understanding 1.4.3: #767676 on white passes, #777777 does not.
  it('knows the grey that just passes on white and the one that does not', () => {
    expect(contrast('#767676', '#ffffff')).toBeCloseTo(4.54, 2)
    expect(contrastVerdict(contrast('#767676', '#ffffff'))).toEqual({ passes: true, says: '4.54:1' })
    expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.48, 2)
    expect(contrastVerdict(contrast('#777777', '#ffffff')).passes).toBe(false)
  })
  it('is 21 from black to white and 1 to itself', () => {
    expect(contrast('#000', '#fff')).toBeCloseTo(21, 10)
    expect(contrast('#17665A', '#17665a')).toBe(1)
  })
  it('agrees with culori on any two colours', () => {
    fc.assert(
      fc.property(colour, colour, (a, b) => {
        expect(luminance(a)).toBeCloseTo(wcagLuminance(a), 5)
        expect(contrast(a, b)).toBeCloseTo(wcagContrast(a, b), 4)
      }),
    )
  })
  it('does not round a failing ratio up to a passing one', () => {
    expect(contrastVerdict(4.4999)).toEqual({ passes: false, says: '4.49:1, enough for large text only' })
    expect(contrastVerdict(2.999).says).toMatch(/too little/)
  })
  it('reads short colours', () => expect(channels('#1af')).toEqual([0x11, 0xaa, 0xff]))

  // The interface's own roles, docs/architecture.md: all reach 5:1 on paper.
  it.each(['#1D2B34', '#51606A', '#17665A', '#26659B', '#8A5A00', '#B03A2A', '#74528A'])('%s on paper', (role) =>
    expect(contrast(role, '#F7F4EC')).toBeGreaterThanOrEqual(5),
  )
})
