import { lineCount, textHeight, type FitSpec, type Height } from '../../layout'
import { arrangementGroup, lookGroup, moreGroup, pictureShapeGroup } from '../groups'
import type { Box, View } from '../kind'
import type { VideosSettings } from './settings'
import { filmsOf, type ShownFilm } from './view'

/** Px and multiples that css.ts sets; e2e/fit.spec.ts holds the two together. */
export const SIZES = {
  heading: { size: 20, line: 1.2, below: 12 },
  description: { size: 14.5, line: 1.5 },
  title: { size: 15, line: 20 },
  date: { size: 12.5, line: 17 },
  above: 8,
}
/** Px: a still smaller than this shows nothing, and a title breaks after every other word. */
const CELL_MIN = 150

export const filmsFit = (settings: VideosSettings): FitSpec =>
  arrangementGroup.fit(settings, { padding: lookGroup.padding(settings), cellMin: CELL_MIN })

export const box: Box<VideosSettings> = {
  one: 'a film',
  fit: filmsFit,
  extra: arrangementGroup.extra,
  height(view: View<VideosSettings>, width: number): number {
    const { settings } = view
    const { heading, description, films } = filmsOf(view)
    const spec = filmsFit(settings)
    const inner = width - 2 * spec.padding
    const shown = films.slice(0, moreGroup.step(settings))
    const above =
      (heading ? textHeight(heading.length, inner, SIZES.heading.size, SIZES.heading.line) + SIZES.heading.below : 0) +
      (description
        ? textHeight(description.length, inner, SIZES.description.size, SIZES.description.line) + SIZES.heading.below
        : 0)
    const body = arrangementGroup.height(settings, spec, width, () => filmHeights(shown, settings))
    const button = shown.length < films.length ? moreGroup.height : 0
    return Math.ceil(above + body + button + 2 * spec.padding)
  },
}

/** How high each film is; its title takes as many whole lines as it needs, up to those that were asked for. */
export const filmHeights = (films: readonly ShownFilm[], settings: VideosSettings): Height[] =>
  films.map((film) => ({
    ratio: pictureShapeGroup.heightOf(settings, film.picture),
    fixed: SIZES.above + titleLines(film, settings) * SIZES.title.line + (film.date ? SIZES.date.line : 0),
  }))

/** Px: a cell as most are; it decides how many lines a title is kept, in whatever width it then stands. */
const usualCell = ({ layout, columns }: VideosSettings) =>
  layout === 'list' || layout === 'one' ? 480 : Math.max(160, Math.min(480, 900 / columns))

export const titleLines = ({ title }: ShownFilm, settings: VideosSettings): number =>
  Math.max(1, Math.min(settings.titleLines, lineCount(title.length, usualCell(settings), SIZES.title.size)))
