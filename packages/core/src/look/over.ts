import { channels } from './contrast'

const hex = (rgb: readonly number[]) => `#${rgb.map((one) => Math.round(one).toString(16).padStart(2, '0')).join('')}`

/**
 * A colour that lets some of another through, as one colour: source-over in sRGB (Compositing and Blending 1, section 5.1).
 * @param alpha 0 to 1
 */
export function over(top: string, alpha: number, below: string): string {
  const under = channels(below)
  return hex(channels(top).map((value, at) => value * alpha + under[at]! * (1 - alpha)))
}
