import type { Picture } from '../../items'
import { choice } from '../setting'

interface PictureShape {
  ratio: 'square' | 'portrait' | 'landscape' | 'own'
  focus: 'centre' | 'top' | 'bottom' | 'left' | 'right'
}

/** Height as a share of the width. */
const RATIOS = { square: 1, portrait: 5 / 4, landscape: 2 / 3 } as const
/** Of one whose size is not known. */
const UNKNOWN = 1

/** The shape that pictures are cut to, and which part of them stays. */
export const pictureShapeGroup = {
  shape: (byDefault: PictureShape['ratio']) => ({
    ratio: choice({ square: 'square', portrait: 'portrait', landscape: 'landscape', own: 'as each is' }, byDefault, {
      label: 'Shape of the pictures',
      paragraph: 'layout',
      before: '; pictures ',
    }),
    focus: choice(
      { centre: 'the middle', top: 'the top', bottom: 'the bottom', left: 'the left', right: 'the right' },
      'centre',
      {
        label: 'What of them stays',
        paragraph: 'layout',
        before: ', keeping ',
        when: (s) => s.ratio !== 'own',
      },
    ),
  }),
  /** Height as a share of the width that a picture has in its cell. */
  heightOf: ({ ratio }: PictureShape, picture: Pick<Picture, 'width' | 'height'> | null): number => {
    if (ratio !== 'own') return RATIOS[ratio]
    return picture?.width && picture.height ? picture.height / picture.width : UNKNOWN
  },
  /**
   * The picture `.p` of a large first cell fills its place `.g`, however high the rows beside it are; at least as high as its
   * shape asks for.
   */
  largeCss(s: PictureShape & { layout: string }, first: Pick<Picture, 'width' | 'height'> | null | undefined): string {
    if (s.layout !== 'large-first') return ''
    const high = Math.round(pictureShapeGroup.heightOf(s, first ?? null) * 10_000) / 100
    const large = '.l>.c:first-child'
    return `${large} .p{position:absolute;inset:0;height:100%;aspect-ratio:auto}${large}>.g::before{content:"";display:block;padding-top:${high}%}`
  },
  /** Of pictures `selector`, in cells of any width. Those kept as they are bring their own shape (`pictureHtml`, sized). */
  css: ({ ratio, focus }: PictureShape, selector: string): string =>
    ratio === 'own'
      ? `${selector}{display:block;width:100%;height:auto;object-fit:cover}`
      : `${selector}{display:block;width:100%;height:auto;aspect-ratio:${1 / RATIOS[ratio]};object-fit:cover;object-position:${focus === 'centre' ? 'center' : focus}}`,
}
