import { channels } from './contrast'

/** A colour by lightness 0 to 1, chroma from 0, hue in degrees: OKLCH, CSS Color 4, section 9. */
export interface Oklch {
  l: number
  c: number
  h: number
}

const toLinear = (c: number) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4)
const fromLinear = (c: number) => (c <= 0.0031308 ? 12.92 * c : 1.055 * c ** (1 / 2.4) - 0.055)

/** Lightness, green to red, blue to yellow. */
type Oklab = readonly [l: number, a: number, b: number]

/** Matrices of CSS Color 4, section 18 (sample code, linear sRGB to OKLab by way of LMS). */
function oklab(hex: string): Oklab {
  const [r, g, b] = channels(hex).map((value) => toLinear(value / 255)) as [number, number, number]
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b)
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b)
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b)
  return [
    0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s,
    1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
    0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s,
  ]
}

/** Linear sRGB, out of 0 to 1 where the screen cannot show it. */
function linearRgb([lightness, a, b]: Oklab): [number, number, number] {
  const l = (lightness + 0.3963377774 * a + 0.2158037573 * b) ** 3
  const m = (lightness - 0.1055613458 * a - 0.0638541728 * b) ** 3
  const s = (lightness - 0.0894841775 * a - 1.291485548 * b) ** 3
  return [
    4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s,
    -1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s,
    -0.0041960863 * l - 0.7034186147 * m + 1.707614701 * s,
  ]
}

export function toOklch(hex: string): Oklch {
  const [l, a, b] = oklab(hex)
  return { l, c: Math.hypot(a, b), h: ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360 }
}

const labOf = ({ l, c, h }: Oklch): Oklab => [l, c * Math.cos((h * Math.PI) / 180), c * Math.sin((h * Math.PI) / 180)]

const isShown = (rgb: readonly number[]) => rgb.every((one) => one >= -1e-4 && one <= 1 + 1e-4)

/** The nearest that a screen can show: less chroma, the same lightness and hue (CSS Color 4, section 14, simplified). */
export function toHex({ l, c, h }: Oklch): string {
  let [low, high] = [0, c]
  if (!isShown(linearRgb(labOf({ l, c, h }))))
    for (let i = 0; i < 18; i++) {
      const mid = (low + high) / 2
      if (isShown(linearRgb(labOf({ l, c: mid, h })))) low = mid
      else high = mid
    }
  else low = c
  const rgb = linearRgb(labOf({ l, c: low, h }))
  return `#${rgb
    .map((one) =>
      Math.round(fromLinear(Math.min(1, Math.max(0, one))) * 255)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`
}

/** How far apart two colours look: the distance in OKLab (deltaEOK, CSS Color 4, section 18). */
export function distance(a: string, b: string): number {
  const [one, other] = [oklab(a), oklab(b)]
  return Math.hypot(...one.map((value, at) => value - other[at]!))
}
