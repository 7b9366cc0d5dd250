/** Units to each side of a place that its boundary is judged by: words are shorter. */
const AROUND = 80
/** Places of one text that are looked at closely; what has more of them is no text that anybody reads. */
const MOST_ASKED = 200

const segmenters = new Map<string, Intl.Segmenter>()

/** By words of a language; of none that is known here by the rules that hold for all. */
function segmenterFor(language: string | null): Intl.Segmenter {
  const tag = language?.split(/[-_]/)[0]?.toLowerCase() ?? ''
  const known = segmenters.get(tag)
  if (known) return known
  const segmenter = new Intl.Segmenter(/^[a-z]{2,3}$/.test(tag) ? tag : undefined, { granularity: 'word' })
  segmenters.set(tag, segmenter)
  return segmenter
}

const SPACE = 32
/** A letter or digit of ASCII, small as texts are here. */
const isPlainWord = (unit: number) => (unit >= 97 && unit <= 122) || (unit >= 48 && unit <= 57)

const WORD = /[\p{L}\p{N}]/u
/** Scripts that put no spaces between words. */
const UNSPACED =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}\p{M}ー]/u

/**
 * Tells where words begin and end in a text (Unicode text segmentation, UAX 29, as Intl.Segmenter has it, with dictionaries for
 * scripts without spaces). Most places tell by themselves; only the others are looked up.
 * @returns a test of a place, in UTF-16 units: whether a phrase that begins or ends there begins or ends with a whole word
 */
export function isWordBoundary(
  text: string,
  language: string | null,
): (at: number, what: 'beginning' | 'end') => boolean {
  let asked = 0
  return (at, what) => {
    // Nearly every place lies between two signs of ASCII, which tell at once.
    const [left, right] = [text.charCodeAt(at - 1), text.charCodeAt(at)]
    if (what === 'beginning' ? at === 0 || left === SPACE : at === text.length || right === SPACE) return true
    if (isPlainWord(left) && isPlainWord(right)) return false
    const [before, after] = [charBefore(text, at), charAt(text, at)]
    const [inner, outer] = what === 'beginning' ? [after, before] : [before, after]
    if (outer === '' || /\s/.test(outer)) return true
    const isUnspaced = UNSPACED.test(outer) || UNSPACED.test(inner)
    if (!isUnspaced && WORD.test(outer)) return false
    if (!isUnspaced && !WORD.test(inner)) return true
    if (++asked > MOST_ASKED) return !WORD.test(outer)
    return breaksAt(text, at, segmenterFor(language))
  }
}

function breaksAt(text: string, at: number, segmenter: Intl.Segmenter): boolean {
  const from = cleanCut(text, Math.max(0, at - AROUND))
  const near = text.slice(from, at + AROUND)
  const segment = segmenter.segment(near).containing(at - from)
  return segment === undefined || segment.index === at - from
}

/** Behind white space where there is some, so that the first segment is whole; never within a pair of surrogates. */
function cleanCut(text: string, from: number): number {
  const space = text.slice(from, from + AROUND - 1).search(/\s/)
  if (from > 0 && space >= 0) return from + space
  return isLowHalf(text.charCodeAt(from)) ? from - 1 : from
}

const isLowHalf = (unit: number) => unit >= 0xdc00 && unit <= 0xdfff
const charAt = (text: string, at: number) => {
  const point = text.codePointAt(at)
  return point === undefined ? '' : String.fromCodePoint(point)
}
const charBefore = (text: string, at: number) =>
  at <= 0 ? '' : charAt(text, at - (isLowHalf(text.charCodeAt(at - 1)) ? 2 : 1))
