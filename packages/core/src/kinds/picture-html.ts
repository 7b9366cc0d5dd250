import type { Picture } from '../items'
import { address, escapeAttribute } from '../markup'

/** How a picture stands in a widget. */
export interface PicturePlace {
  className: string
  /** What own CSS calls it. */
  part: string
  /** CSS px it is wide at most; a browser takes the copy that fits its screen. */
  width: number
  /** Whether its own shape is said, so that room for it is kept where it is not cut to one. */
  sized?: boolean
}

/**
 * A picture as markup: our own copies in WebP with JPEG beside them, or, where there are none yet, the one it came from. ''
 * for one whose address is none.
 */
export function pictureHtml(picture: Picture, { className, part, width, sized }: PicturePlace): string {
  const { url, alt, own } = picture
  const named = `class="${className}" part="${part}"`
  const shape = sized && picture.width && picture.height ? ` width="${picture.width}" height="${picture.height}"` : ''
  const rest = `alt="${escapeAttribute(alt)}"${shape} loading="lazy" decoding="async"`
  if (!own) {
    const src = address(url)
    return src ? `<img ${named} src="${src}" ${rest}>` : ''
  }
  const base = address(own.base)
  const copies = (type: string) => own.widths.map((px) => `${base}-${px}.${type} ${px}w`).join(', ')
  const sizes = `sizes="${width}px"`
  return (
    `<picture><source type="image/webp" srcset="${copies('webp')}" ${sizes}>` +
    `<img ${named} src="${base}-${nearest(own.widths, width)}.jpg" srcset="${copies('jpg')}" ${sizes} ${rest}></picture>`
  )
}

/** The smallest that is as wide as wanted, or the widest there is. */
const nearest = (widths: readonly number[], wanted: number) => widths.find((px) => px >= wanted) ?? Math.max(...widths)
