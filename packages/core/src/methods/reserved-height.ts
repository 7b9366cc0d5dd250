/** Heights that a widget takes, px; where it is as high on narrower windows, or nothing is known of them, these are left out. */
export interface Heights {
  height: number
  tablet?: number
  phone?: number
}

/** Widths of a window, px, below which it is a tablet's or a phone's: between those that sites are looked at in. */
const BELOW = { tablet: 1024, phone: 600 }

/**
 * Room for a widget before it is there, so that nothing moves when it comes: one height, or one for each kind of window. A style
 * attribute knows no media queries, so each step is a clamp of a steep slope (CSS Values 4, math functions).
 */
export function reservedHeight({ height, tablet = height, phone = tablet }: Heights): string {
  const steps = [step(tablet - height, BELOW.tablet), step(phone - tablet, BELOW.phone)].filter(Boolean)
  return steps.length ? `calc(${[px(height), ...steps].join(' + ')})` : px(height)
}

const px = (value: number) => `${Math.round(value)}px`

/** Nothing from a width on, and so much below it. */
function step(change: number, below: number): string {
  const rounded = Math.round(change)
  if (!rounded) return ''
  return rounded > 0
    ? `clamp(0px,(${below}px - 100vw)*${STEEP},${rounded}px)`
    : `clamp(${rounded}px,(100vw - ${below}px)*${STEEP},0px)`
}
/** A px of window is worth more than any widget is high. */
const STEEP = 99_999
