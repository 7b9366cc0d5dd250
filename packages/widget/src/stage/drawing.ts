import type { DrawnBox, Drawing } from '@pebblestrand/core/site-facts/bands'
import { skipped } from '@pebblestrand/core/verify/element-names'
import { ROOM_ID, ROOM_MARK, type RoomMark } from '@pebblestrand/core/verify/room-marks'

/** The page as it is drawn at this moment, without what is of other regions and without widgets that stand there. */
export const pageAsDrawn: Drawing<Element> = {
  kids: ({ children }) =>
    [...children].filter((kid) => {
      const mark = kid.getAttribute(ROOM_MARK) as RoomMark | null
      return !skipped.has(kid.localName) && kid.id !== ROOM_ID && mark !== 'elsewhere' && mark !== 'ours'
    }),
  parent: ({ parentElement }) => parentElement,
  box: boxOf,
  name: ({ localName }) => localName,
  ownText: ({ childNodes }) =>
    Math.max(
      0,
      ...[...childNodes].map((node) => (node.nodeType === Node.TEXT_NODE ? (node.nodeValue ?? '').trim().length : 0)),
    ),
}

function boxOf(element: Element): DrawnBox | undefined {
  const { width, height, left, top } = element.getBoundingClientRect()
  const style = getComputedStyle(element)
  if (width < 1 || style.visibility === 'hidden') return undefined
  const px = (value: string) => parseFloat(value) || 0
  const within = px(style.paddingLeft) + px(style.paddingRight) + px(style.borderLeftWidth) + px(style.borderRightWidth)
  return { x: left + scrollX, y: top + scrollY, width, height, content: Math.round((width - within) * 10) / 10 }
}
