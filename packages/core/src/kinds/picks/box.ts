import type { FitSpec, Height } from '../../layout'
import {
  arrangementGroup,
  headingGroup,
  keptLines,
  lookGroup,
  partsHeight,
  pictureShapeGroup,
  usualCell,
} from '../groups'
import type { Box, View } from '../kind'
import type { PicksSettings } from './settings'
import { picksOf, type ShownPick } from './view'

/** Px that css.ts sets; e2e/fit.spec.ts holds the two together. */
const SIZES = {
  title: { of: 'text', size: 16, line: 21 },
  note: { of: 'text', size: 14, line: 20 },
  small: { of: 'small', size: 12.5, line: 18 },
  above: 8,
  beside: 14,
} as const
export const sizesOf = (settings: PicksSettings) => lookGroup.sizedAll(SIZES, settings)
/** Px: a cover beside its words, where no width is given; and the least that words beside one need. */
const BESIDE = { cover: 120, words: 120 }
/** Px: covers alone, and with words. */
const CELL_MIN = { cover: 80, words: 140 }

export const hasCover = ({ cover }: PicksSettings) => cover === 'on'
/** Where the words stand; without a cover they stand alone. */
export const placeOfWords = ({ cover, words }: PicksSettings) => (cover === 'on' ? words : 'beneath')
/** Px a cover is wide at most; Infinity for as wide as its place. */
export const widestCover = (s: PicksSettings) =>
  s.coverWidth || (placeOfWords(s) === 'beside' ? BESIDE.cover : Infinity)

export function picksFit(settings: PicksSettings): FitSpec {
  const place = placeOfWords(settings)
  const cover = Math.min(widestCover(settings), CELL_MIN.cover)
  const cellMin =
    place === 'beside'
      ? widestCover(settings) + SIZES.beside + BESIDE.words
      : place === 'beneath'
        ? CELL_MIN.words
        : Math.max(cover, CELL_MIN.cover)
  return arrangementGroup.fit(settings, {
    padding: lookGroup.inset(settings),
    cellMin,
    relief: place === 'beside' ? 'set the words beneath' : place === 'beneath' ? 'leave out the words' : undefined,
  })
}

export const box: Box<PicksSettings> = {
  one: 'a pick',
  fit: picksFit,
  extra: arrangementGroup.extra,
  relief(settings) {
    const place = placeOfWords(settings)
    if (place === 'beside') return { words: 'Set the words beneath', change: { words: 'beneath' } }
    return place === 'beneath' && hasCover(settings)
      ? { words: 'Leave out the words', change: { words: 'none' } }
      : null
  },
  height(view: View<PicksSettings>, width: number): number {
    const { settings } = view
    const { heading, description, picks } = picksOf(view)
    const spec = picksFit(settings)
    const above = headingGroup.height(settings, heading, description, width - 2 * spec.padding)
    return Math.ceil(above + partsHeight(settings, spec, width, pickHeights(picks, settings)))
  },
}

/** How high each pick is: a share of its width for a cover as wide as that, px for all else. */
export const pickHeights = (picks: readonly ShownPick[], settings: PicksSettings): Height[] =>
  picks.map((pick) => {
    const shape = hasCover(settings) ? pictureShapeGroup.heightOf(settings, pick.picture) : 0
    const widest = widestCover(settings)
    const cover = widest === Infinity ? { ratio: shape, fixed: 0 } : { ratio: 0, fixed: shape * widest }
    const place = placeOfWords(settings)
    if (place === 'card' || place === 'none') return cover
    const words = wordsHeight(pick, settings)
    if (place === 'beside') return { ratio: 0, fixed: Math.max(cover.fixed, words) }
    return { ratio: cover.ratio, fixed: cover.fixed + words + (hasCover(settings) ? SIZES.above : 0) }
  })

/** Px: words beside a cover have the rest of a usual cell. */
const wordsCell = (settings: PicksSettings) =>
  placeOfWords(settings) === 'beside'
    ? Math.max(BESIDE.words, usualCell(settings) - widestCover(settings) - SIZES.beside)
    : Math.min(usualCell(settings), Math.max(CELL_MIN.words, hasCover(settings) ? widestCover(settings) : Infinity))

/** Whether a line of small print stands below it. */
export const hasSmall = ({ site, date }: ShownPick) => site !== '' || date !== ''

export const linesOf = ({ title, note }: ShownPick, settings: PicksSettings) => ({
  title: Math.max(1, keptLines.count(title, settings.titleLines, wordsCell(settings), sizesOf(settings).title)),
  note: keptLines.count(note, settings.noteLines, wordsCell(settings), sizesOf(settings).note),
})

function wordsHeight(pick: ShownPick, settings: PicksSettings): number {
  const lines = linesOf(pick, settings)
  return (
    lines.title * sizesOf(settings).title.line +
    lines.note * sizesOf(settings).note.line +
    (hasSmall(pick) ? sizesOf(settings).small.line : 0)
  )
}
