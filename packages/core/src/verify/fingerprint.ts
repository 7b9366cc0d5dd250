import { volatile } from './content-hash'
import { isElement, walk, type Page } from './page'
import { upTo } from '../text'

/** Tells this form from the one of the first version, a single hash. */
const FORM = 'p1:'

/** Letters a piece takes, 6 bits each. */
const LETTERS = 4
const DIGITS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789-_'

/** Pieces of a page that are kept. */
const MOST = 3000

/**
 * What a page says, piece by piece in its order, a hash each: its elements with their links and pictures, its words. Left out
 * is what differs from load to load without anyone having edited it: scripts, styles, hidden fields, comments, query strings.
 */
export function fingerprint(page: Page): string {
  const pieces: string[] = []
  walk(
    page,
    true,
    (element) => (volatile.has(element.name) ? null : true),
    (node) => {
      if (pieces.length >= MOST) return
      if (node.type === 'text') {
        const words = pieceOfWords(node.data)
        if (words) pieces.push(words)
      } else if (isElement(node) && !volatile.has(node.name)) {
        const address = node.attribs.href ?? node.attribs.src ?? ''
        pieces.push(piece(`<${node.name}>${upTo(address, '?#')}`))
      }
    },
  )
  return FORM + pieces.join('')
}

const BASIS = 0x811c9dc5
const next = (hash: number, unit: number) => Math.imul(hash ^ unit, 0x01000193)

/** 24 bits of FNV-1a (IETF draft-eastlake-fnv, 32 bits, folded). */
function piece(text: string): string {
  let hash = BASIS
  for (let i = 0; i < text.length; i++) hash = next(hash, text.charCodeAt(i))
  return lettersOf(hash)
}

/** What a regular expression's \s stands for. */
const isSpace = (unit: number) =>
  unit === 32 || (unit >= 9 && unit <= 13) || (unit >= 160 && /\s/.test(String.fromCharCode(unit)))

/** The same of a text without white space at its ends and with one space for each run of it; '' where nothing is left. In one pass: most of a page is text. */
function pieceOfWords(text: string): string {
  let hash = BASIS
  let [some, gap] = [false, false]
  for (let i = 0; i < text.length; i++) {
    const unit = text.charCodeAt(i)
    if (unit <= 32 || unit >= 160 ? isSpace(unit) : false) {
      gap = some
      continue
    }
    if (gap) hash = next(hash, 32)
    hash = next(hash, unit)
    ;[some, gap] = [true, false]
  }
  return some ? lettersOf(hash) : ''
}

function lettersOf(hash: number): string {
  const folded = (hash >>> 24) ^ (hash & 0xffffff)
  let letters = ''
  for (let i = 0; i < LETTERS; i++) letters += DIGITS[(folded >>> (6 * i)) & 63]
  return letters
}

export const isFingerprint = (text: string) => text.startsWith(FORM)

const piecesOf = (fingerprint: string) => fingerprint.slice(FORM.length).match(/.{4}/g) ?? []

/**
 * Whether a page says what it said before. What differs between two looks of one moment is noise, and so is what stood in its
 * place before: counters, clocks, sums to keep robots out.
 * @param again a second look at the page as it is now; null where there was none
 */
export function saysTheSame(before: string, now: string, again: string | null): boolean {
  if (before === now) return true
  if (!isFingerprint(before) || !isFingerprint(now)) return false
  const pieces = piecesOf(now)
  const steady = again && isFingerprint(again) ? paired(pieces, piecesOf(again)) : pieces.map((_, i) => i)
  const old = piecesOf(before)
  const kept = paired(pieces, old)
  if (!steady || !kept) return false
  // Between two pieces that are in both, as much may differ as differs from look to look, and nothing elsewhere.
  let [at, room] = [0, 0]
  for (let i = 0; i <= pieces.length; i++) {
    room += addedBefore(steady, i)
    const match = i < pieces.length ? kept[i]! : old.length
    if (match < 0) {
      if (steady[i]! >= 0) return false
      room++
    } else {
      if (match - at > room) return false
      ;[at, room] = [match + 1, 0]
    }
  }
  return true
}

/** How much more a second look had before a piece of the first. */
function addedBefore(steady: readonly number[], i: number): number {
  const [before, here] = [i === 0 ? -1 : steady[i - 1]!, steady[i] ?? -1]
  return i > 0 && before < 0 ? 0 : Math.max(0, here - before - 1)
}

/** Cells of the table that finds what two pages share; beyond, they are taken for different. */
const MOST_CELLS = 4_000_000

/** For each piece of one page its place in the other, -1 where it is not there: the longest common sequence. Null where they differ too much to be compared. */
function paired(one: readonly string[], other: readonly string[]): number[] | null {
  const pairs = new Array<number>(one.length).fill(-1)
  let start = 0
  while (start < one.length && start < other.length && one[start] === other[start]) pairs[start] = start++
  let [end, otherEnd] = [one.length, other.length]
  while (end > start && otherEnd > start && one[end - 1] === other[otherEnd - 1]) pairs[--end] = --otherEnd
  const [rows, columns] = [end - start, otherEnd - start]
  if (!rows || !columns) return pairs
  if (rows * columns > MOST_CELLS) return null
  const width = columns + 1
  const lengths = new Uint16Array((rows + 1) * width)
  for (let i = rows - 1; i >= 0; i--)
    for (let j = columns - 1; j >= 0; j--)
      lengths[i * width + j] =
        one[start + i] === other[start + j]
          ? lengths[(i + 1) * width + j + 1]! + 1
          : Math.max(lengths[(i + 1) * width + j]!, lengths[i * width + j + 1]!)
  for (let i = 0, j = 0; i < rows && j < columns;) {
    if (one[start + i] === other[start + j]) pairs[start + i++] = start + j++
    else if (lengths[(i + 1) * width + j]! >= lengths[i * width + j + 1]!) i++
    else j++
  }
  return pairs
}
