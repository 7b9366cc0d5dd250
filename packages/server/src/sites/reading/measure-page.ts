// Functions that run in the page that is looked at: each stands alone, nothing outside it is there.

/** Numbers the elements of a page, so that what was measured of them and what is read of its markup can be told to be of one. */
export function numberElements(attribute: string): void {
  const all = document.body?.querySelectorAll('*') ?? []
  for (let i = 0; i < all.length && i < 30_000; i++) all[i]!.setAttribute(attribute, String(i))
}

/** Number, left, top, width, height and content width of each numbered element that is drawn; px of the page. */
export function measureElements(attribute: string): number[][] {
  const px = (value: string) => parseFloat(value) || 0
  const boxes: number[][] = []
  for (const element of document.querySelectorAll(`[${attribute}]`)) {
    const box = element.getBoundingClientRect()
    if (box.width < 1) continue
    const style = getComputedStyle(element)
    if (style.visibility === 'hidden') continue
    const content =
      box.width -
      px(style.paddingLeft) -
      px(style.paddingRight) -
      px(style.borderLeftWidth) -
      px(style.borderRightWidth)
    boxes.push(
      [
        Number(element.getAttribute(attribute)),
        box.left + scrollX,
        box.top + scrollY,
        box.width,
        box.height,
        content,
      ].map((value) => Math.round(value * 10) / 10),
    )
  }
  return boxes
}

export const pageHeight = (): number => document.documentElement.scrollHeight
