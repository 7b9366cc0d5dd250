import type { RenderedFont } from '@pebblestrand/core/kinds'

/**
 * Gives the document a shipped font, once; a shadow root cannot bring fonts of its own. A browser loads a file only where a letter
 * of its range stands. Where it does not load, the fallback face stays.
 */
export function loadFont(
  { family, file, range, more }: Omit<RenderedFont, 'more'> & Partial<Pick<RenderedFont, 'more'>>,
  origin: string,
): void {
  for (const face of document.fonts) if (face.family.replace(/"/g, '') === family) return
  for (const part of [{ file, range }, ...(more ?? [])])
    document.fonts.add(
      new FontFace(family, `url(${origin}/fonts/${part.file})`, {
        weight: '100 900',
        display: 'swap',
        unicodeRange: part.range,
      }),
    )
}
