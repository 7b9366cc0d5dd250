import { clampChroma, converter, differenceEuclidean, formatHex, wcagContrast } from 'culori'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { contrast } from './contrast'
import { nearestReadable, readableOn } from './nearest'
import { distance, toHex, toOklch } from './oklch'
import { over } from './over'

// culori is the reference for all that is worked out here.
const oklch = converter('oklch')
const deltaEOK = differenceEuclidean('oklab')
const colour = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`)

describe('OKLCH', () => {
  it('is what culori says, there and back', () =>
    fc.assert(
      fc.property(colour, (hex) => {
        const [own, theirs] = [toOklch(hex), oklch(hex)!]
        expect(own.l).toBeCloseTo(theirs.l, 4)
        expect(own.c).toBeCloseTo(theirs.c, 4)
        if (own.c > 0.01) expect(Math.abs(((own.h - theirs.h! + 540) % 360) - 180)).toBeLessThan(0.2)
        expect(toHex(own)).toBe(hex)
      }),
    ))
  it('measures distances as culori does', () =>
    fc.assert(fc.property(colour, colour, (a, b) => void expect(distance(a, b)).toBeCloseTo(deltaEOK(a, b), 4))))
  // CSS Color 4, section 4: lime and blue in OKLCH, its own examples.
  it.each([
    ['#00ff00', 0.86644, 0.294827, 142.4953],
    ['#0000ff', 0.45201, 0.313214, 264.052],
  ])('%s', (hex, l, c, h) => {
    const own = toOklch(hex)
    expect([own.l, own.c, own.h].map((one) => one.toFixed(3))).toEqual([l, c, h].map((one) => one.toFixed(3)))
  })
})

describe('what is seen through', () => {
  it('half white over black is the grey between', () => expect(over('#ffffff', 0.5, '#000000')).toBe('#808080'))
  it('nothing of it is what is below, all of it is itself', () => {
    expect(over('#17665a', 0, '#fffdf8')).toBe('#fffdf8')
    expect(over('#17665a', 1, '#fffdf8')).toBe('#17665a')
  })
})

describe('the nearest readable colour', () => {
  it('passes wherever one is found, and leaves what passes alone', () =>
    fc.assert(
      fc.property(
        colour,
        fc.array(colour, { minLength: 1, maxLength: 3 }),
        fc.constantFrom(3, 4.5, 7),
        (own, grounds, least) => {
          const found = nearestReadable(own, grounds, least)
          if (grounds.every((ground) => contrast(own, ground) >= least)) expect(found).toBe(own)
          if (found)
            for (const ground of grounds) expect(wcagContrast(found, ground)).toBeGreaterThanOrEqual(least - 1e-4)
        },
      ),
    ))
  it('is no further off than the best of a fine search by culori, but for a step', () =>
    fc.assert(
      fc.property(colour, colour, (own, ground) => {
        const found = nearestReadable(own, [ground], 4.5)
        const { c, h } = oklch(own)!
        const best = Array.from({ length: 401 }, (_, at) =>
          formatHex(clampChroma({ mode: 'oklch', l: at / 400, c, h }, 'oklch'))!,
        )
          .filter((hex) => wcagContrast(hex, ground) >= 4.5)
          .map((hex) => deltaEOK(hex, own))
          .sort((a, b) => a - b)[0]
        if (best === undefined) return void expect(found).toBeNull()
        // One step of lightness is 1/256; rounding to eight bits a channel does the rest.
        expect(deltaEOK(found!, own)).toBeLessThanOrEqual(best + 0.006)
      }),
      { numRuns: 100 },
    ))
  it('keeps the hue', () => {
    // A yellow that white swallows: its readable cousin is an ochre, no grey.
    const found = nearestReadable('#ffd400', ['#ffffff'], 4.5)!
    expect(Math.abs(toOklch(found).h - toOklch('#ffd400').h)).toBeLessThan(4)
    expect(toOklch(found).c).toBeGreaterThan(0.08)
  })
  it('is none between black and white', () => expect(nearestReadable('#888888', ['#000000', '#ffffff'], 7)).toBeNull())
  it('counts what is seen through the text', () => {
    const found = nearestReadable('#8a8a8a', ['#ffffff'], 4.5, [0.8])!
    expect(contrast(over(found, 0.8, '#ffffff'), '#ffffff')).toBeGreaterThanOrEqual(4.5)
  })
  it('knows whether black or white is read on a colour', () => {
    expect(readableOn('#17665a')).toBe('#ffffff')
    expect(readableOn('#ffd400')).toBe('#000000')
  })
})
