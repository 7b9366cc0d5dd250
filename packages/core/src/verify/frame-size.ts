import type { Element } from 'domhandler'

/** A width in px; a share of the place it stands in; of the window, whatever the place. */
export type FrameWidth = number | 'fluid' | 'window'

export interface FrameSize {
  /** Null where it has none. */
  width: FrameWidth | null
  /** Px it is wide at least; null where nothing is said. */
  least: number | null
  /** Px; null for a share, or where nothing is said. */
  height: number | null
}

/** A frame's size as its attributes and its own style say. */
export function frameSize({ attribs }: Element): FrameSize {
  const styled = (property: string) =>
    new RegExp(`(?:^|;)\\s*${property}\\s*:\\s*([^;]+)`, 'i').exec((attribs.style ?? '').slice(0, 2000))?.[1]
  const width = read(styled('width')) ?? read(attribs.width)
  const most = read(styled('max-width'))
  const least = read(styled('min-width'))
  const height = read(styled('height')) ?? read(attribs.height)
  return {
    width: width === 'window' && (most === 'fluid' || typeof most === 'number') ? most : width,
    least: typeof least === 'number' ? least : leastOf(styled('width')),
    height: typeof height === 'number' ? height : null,
  }
}

/** What `max()` and `clamp()` let a width not fall below. */
const leastOf = (value: string | undefined) => {
  const px = /^\s*(?:max\((?:[^()]*,)?|clamp\()\s*(\d+(?:\.\d+)?)px/i.exec(value?.slice(0, 200) ?? '')?.[1]
  return px ? Number(px) : null
}

function read(value: string | undefined): FrameWidth | null {
  if (!value || value.length > 60) return null
  const m = /^(\d+(?:\.\d+)?)(?:\s*(px|%|[a-z]+))?(?:\s*!important)?$/i.exec(value.trim())
  if (!m) return /^\s*(calc|min|max|clamp|fit-content|-webkit-fill-available|stretch)/i.test(value) ? 'fluid' : null
  const [, amount, unit = 'px'] = m
  if (Number(amount) === 0) return 0
  if (unit.toLowerCase() === 'px') return Number(amount)
  return /^(?:[sld]?v(?:w|i|max))$/i.test(unit) ? 'window' : 'fluid'
}
