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
import type { VideosSettings } from './settings'
import { filmsOf, type ShownFilm } from './view'

/** Px and multiples that css.ts sets; e2e/fit.spec.ts holds the two together. */
const SIZES = {
  title: { of: 'text', size: 15, line: 20 },
  date: { of: 'small', size: 12.5, line: 17 },
  above: 8,
} as const
export const sizesOf = (settings: VideosSettings) => lookGroup.sizedAll(SIZES, settings)
/** Px: a still smaller than this shows nothing, and a title breaks after every other word. */
const CELL_MIN = 150

export const filmsFit = (settings: VideosSettings): FitSpec =>
  arrangementGroup.fit(settings, { padding: lookGroup.inset(settings), cellMin: CELL_MIN })

export const box: Box<VideosSettings> = {
  one: 'a film',
  fit: filmsFit,
  extra: arrangementGroup.extra,
  height(view: View<VideosSettings>, width: number): number {
    const { settings } = view
    const { heading, description, films } = filmsOf(view)
    const spec = filmsFit(settings)
    const above = headingGroup.height(settings, heading, description, width - 2 * spec.padding)
    return Math.ceil(above + partsHeight(settings, spec, width, filmHeights(films, settings)))
  },
}

/** How high each film is; its title takes as many whole lines as it needs, up to those that were asked for. */
export const filmHeights = (films: readonly ShownFilm[], settings: VideosSettings): Height[] =>
  films.map((film) => ({
    ratio: pictureShapeGroup.heightOf(settings, film.picture),
    fixed:
      SIZES.above +
      titleLines(film, settings) * sizesOf(settings).title.line +
      (film.date ? sizesOf(settings).date.line : 0),
  }))

export const titleLines = ({ title }: ShownFilm, settings: VideosSettings): number =>
  Math.max(1, keptLines.count(title, settings.titleLines, usualCell(settings), sizesOf(settings).title))
