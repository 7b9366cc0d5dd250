import { contrast } from './contrast'
import { distance, toHex, toOklch } from './oklch'
import { over } from './over'

/** Lightnesses that are tried, 0 and 1 among them; then, around the best of these, so many in each step. */
const STEPS = 256
const FINER = 16

/**
 * The colour most like another that is readable on every one of some backgrounds: of the same hue, lighter or darker, with as
 * much of its chroma as a screen shows there. Null where none is, as between a white and a black background.
 * @param least contrast it must have, as WCAG 2.2 counts it
 * @param alphas how much of the text's own colour is seen, 0 to 1; of several, it is readable at each
 */
export function nearestReadable(
  colour: string,
  backgrounds: readonly string[],
  least: number,
  alphas: readonly number[] = [1],
): string | null {
  const passes = (hex: string) =>
    backgrounds.every((ground) =>
      alphas.every((alpha) => contrast(alpha === 1 ? hex : over(hex, alpha, ground), ground) >= least),
    )
  if (passes(colour)) return colour
  const { l, c, h } = toOklch(colour)
  let best: string | null = null
  let at = 0
  let miss = Infinity
  const tryAt = (lightness: number) => {
    const hex = toHex({ l: lightness, c, h })
    if (!passes(hex)) return
    const away = distance(hex, colour)
    if (away < miss) [best, at, miss] = [hex, lightness, away]
  }
  const coarse = Array.from({ length: STEPS + 1 }, (_, n) => n / STEPS).sort(
    (a, b) => Math.abs(a - l) - Math.abs(b - l),
  )
  for (const lightness of coarse) {
    // What lies further off in lightness alone cannot be nearer.
    if (Math.abs(lightness - l) >= miss) break
    tryAt(lightness)
  }
  if (best === null) return null
  // Where the screen shows less chroma with each step, one is a long way.
  const around = at
  for (let n = 1 - FINER; n < FINER; n++) tryAt(Math.min(1, Math.max(0, around + n / (STEPS * FINER))))
  return best
}

/** Black or white, whichever is the easier to read on a colour. */
export const readableOn = (ground: string): string =>
  contrast('#ffffff', ground) >= contrast('#000000', ground) ? '#ffffff' : '#000000'
