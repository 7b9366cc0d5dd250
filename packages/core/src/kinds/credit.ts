import { lineCount } from '../layout'
import { address, escapeText } from '../markup'
import type { Around, Credit, Rendered } from './kind'

/** Px that css sets. */
const SIZE = { above: 8, size: 12, line: 18 }

const looks: Record<Credit['look'], string> = {
  plain: '',
  centred: ';text-align:center',
  ruled: ';box-shadow:0 -1px 0 currentColor',
}

/** The line of whoever made the widget, below all that is in it. */
export function withCredit(rendered: Rendered, { credit }: Around): Rendered {
  const href = address(credit?.link ?? null)
  if (!credit?.words) return rendered
  const words = escapeText(credit.words)
  const line = href ? `<a part="link" href="${href}" target="_blank" rel="noopener">${words}</a>` : words
  return {
    ...rendered,
    html: `${rendered.html}<p class="cr" part="credit" dir="auto">${line}</p>`,
    css: `${rendered.css}.cr{margin:${SIZE.above}px 0 0;font-size:${SIZE.size}px;line-height:${SIZE.line}px;opacity:.8${looks[credit.look]}}.cr a{color:inherit}`,
  }
}

/** Px that it takes in a width. */
export const creditHeight = ({ credit }: Around, width: number): number =>
  credit?.words ? SIZE.above + lineCount(credit.words.length, width, SIZE.size) * SIZE.line : 0
