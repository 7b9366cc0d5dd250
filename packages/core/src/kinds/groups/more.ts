import { escapeText } from '../../markup'
import type { Part } from '../kind'
import { choice } from '../setting'
import { buttonCss, buttonHoverCss } from './look/css'

interface MoreSettings {
  more: 'no' | '6' | '12' | '24'
  layout: string
}

/** Showing some at first and the rest by a button. */
export const moreGroup = {
  shape: {
    more: choice(
      {
        no: 'all at once',
        '6': 'six at first and six more by a button',
        '12': 'twelve at first and twelve more by a button',
        '24': '24 at first and 24 more by a button',
      },
      'no',
      {
        label: 'More by a button',
        paragraph: 'layout',
        before: '; ',
        when: (s) => s.layout !== 'carousel' && s.layout !== 'one',
      },
    ),
  },
  /** How many are shown at first and with each press; Infinity for all at once. */
  step: ({ more, layout }: MoreSettings): number =>
    more === 'no' || layout === 'carousel' || layout === 'one' ? Infinity : Number(more),
  /**
   * What comes after those that are there at first, so many at a time.
   * @param partOf of some of them, from which number, and of all until then
   */
  parts<T>(
    all: readonly T[],
    step: number,
    partOf: (some: readonly T[], from: number, until: readonly T[]) => Part,
  ): Part[] {
    if (all.length <= step) return []
    return Array.from({ length: Math.ceil(all.length / step) - 1 }, (_, at) => {
      const [from, to] = [(at + 1) * step, (at + 2) * step]
      return partOf(all.slice(from, to), from, all.slice(0, to))
    })
  },
  /** Nothing without the script, which is what the button works by. */
  button: (words: string) =>
    `<p class="lm" hidden><button type="button" part="button">${escapeText(words)}</button></p>`,
  /** Px of the button and the space above it. */
  height: 56,
  css: (radius: number) =>
    `.lm{margin:16px 0 0;min-height:40px;visibility:hidden;text-align:center}.lm[hidden]{display:block}.lm.on{visibility:visible}.lm.out{display:none}` +
    `.lm button{min-height:40px;padding:0 18px;${buttonCss(radius)}}.lm button:hover{${buttonHoverCss}}`,
}
