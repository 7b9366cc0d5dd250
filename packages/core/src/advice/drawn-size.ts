import { SLACK, type Heights } from '../methods'
import type { EditorBox } from '../platforms'

/** Px. */
export interface Size {
  width: number
  height: number
}

/** How large somebody draws a frame, in wide windows and where it is drawn anew for narrower ones. */
export interface DrawnSizes {
  desktop: Size
  tablet?: Size
  phone?: Size
}

/** Px to which heights are rounded up: nobody draws more exactly. */
const STEP = 10

/**
 * The sizes of a frame that an editor lets people draw; null for a box that has no such frame, or gives it a size of its own.
 * @param widths of the placement; null where nobody knows
 * @param heights that the widget takes in these widths
 */
export function drawnSizes(
  box: EditorBox | null,
  widths: { desktop: number; tablet: number | null; phone: number | null },
  heights: Heights,
): DrawnSizes | null {
  const isDrawn = box?.ownFrame ? box.ownFrame.height === null : box?.treats.address === 'frames'
  if (!isDrawn || !heights.height) return null
  const size = (width: number, height: number): Size => ({
    width: Math.round(width),
    height: Math.ceil((height * SLACK) / STEP) * STEP,
  })
  return {
    desktop: size(widths.desktop, heights.height),
    ...(widths.tablet && heights.tablet ? { tablet: size(widths.tablet, heights.tablet) } : {}),
    ...(widths.phone && heights.phone ? { phone: size(widths.phone, heights.phone) } : {}),
  }
}

/** Px: the height that is enough at every width. */
export const tallest = ({ desktop, tablet, phone }: DrawnSizes): number =>
  Math.max(desktop.height, tablet?.height ?? 0, phone?.height ?? 0)
