import { distance, type SiteLook } from '../look'
import type { TakenLook } from './samples'

/** A piece of a noted look that is not as it was noted. */
export interface LookChange {
  piece: 'accent' | 'text' | 'background' | 'bodyFont' | 'headingFont' | 'button'
  before: string
  after: string
}

/** How far apart two colours are before anybody calls it a redesign (deltaEOK). */
const PLAINLY = 0.05

const firstFamily = (font: string) =>
  font
    .split(',')[0]!
    .trim()
    .replace(/^["']|["']$/g, '')
    .toLowerCase()

const colours = ['accent', 'text', 'background', 'button'] as const
const fonts = ['bodyFont', 'headingFont'] as const

/** What of a site's look is plainly another than was noted. What was not noted, or cannot be read now, is no change. */
export function lookChanges(noted: SiteLook, now: TakenLook): LookChange[] {
  const recoloured = colours.flatMap((piece): LookChange[] => {
    const [before, after] = [noted[piece], now[piece]?.value]
    return before && after && distance(before, after) > PLAINLY ? [{ piece, before, after }] : []
  })
  const reset = fonts.flatMap((piece): LookChange[] => {
    const [before, after] = [noted[piece], now[piece]?.value]
    return before && after && firstFamily(before) !== firstFamily(after) ? [{ piece, before, after }] : []
  })
  return [...recoloured, ...reset]
}
