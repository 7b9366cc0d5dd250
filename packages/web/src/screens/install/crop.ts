import { PICTURE_TALLEST } from '@pebblestrand/core/verify/words'

interface Box {
  x: number
  y: number
  width: number
  height: number
}

/** How tall a piece is shown, in widths of the page. */
const SHARE = 0.62

/** The piece of a page's picture around the widget: its height in px of the page, and where things lie in it, as CSS. */
export function cropAround({ width, height: whole, boxes }: { width: number; height: number; boxes: readonly Box[] }) {
  const picture = Math.max(1, Math.min(whole, PICTURE_TALLEST))
  const tall = Math.round(width * (width < 500 ? 1.3 : SHARE))
  const height = Math.min(picture, tall)
  const [first] = boxes
  const middle = first ? first.y + Math.min(first.height, height) / 2 : height / 2
  const top = Math.max(0, Math.min(middle - height / 2, picture - height))
  const share = (part: number, of: number) => `${((part / of) * 100).toFixed(2)}%`
  return {
    height,
    top: share(-top, height),
    boxes: boxes
      .filter((box) => box.width > 0 && box.height > 0 && box.y < top + height && box.y + box.height > top)
      .map((box) => ({
        left: share(box.x, width),
        top: share(box.y - top, height),
        width: share(box.width, width),
        height: share(box.height, height),
      })),
  }
}
