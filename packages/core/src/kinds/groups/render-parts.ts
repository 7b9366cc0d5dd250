import type { FitSpec, Height } from '../../layout'
import type { Rendered, View } from '../kind'
import { arrangementGroup, stepsAfter, type ArrangementSettings } from './arrangement'
import { enlargeData, gated, type Enlarged, type EnlargeWords } from './enlarge'
import { datesGroup, type DateStyle } from './dates'
import { lookGroup } from './look'
import { moreGroup } from './more'

type Laid = ArrangementSettings &
  Parameters<typeof moreGroup.step>[0] &
  Parameters<typeof lookGroup.css>[0] & { dateStyle?: DateStyle }

/** How a kind whose items lie in cells draws them. */
export interface Cells<T> {
  all: readonly T[]
  /** @param from number of the first */
  cells(some: readonly T[], from: number): string
  heights(some: readonly T[]): readonly Height[]
  spec: FitSpec
  /** The whole, with those that are there at once. */
  html(shown: readonly T[]): string
  css(shown: readonly T[]): string
  /** What is shown of each when a press enlarges it, and the words of that; left out where nothing enlarges. */
  enlarges?: { of(one: T): Enlarged; words: EnlargeWords }
}

/** A widget of cells: those that are there at once, and the rest part by part where a button brings them. */
export function renderParts<T>({ settings }: Pick<View<Laid>, 'settings'>, drawn: Cells<T>): Rendered {
  const { all, cells, heights, spec, enlarges } = drawn
  const step = moreGroup.step(settings)
  const shown = all.slice(0, step)
  const enlarged = (one: T) => gated(enlarges!.of(one))
  const more = moreGroup.parts(all, step, (some, from, until) => ({
    html: cells(some, from),
    css: stepsAfter(settings, spec, () => heights(until), from),
    data: enlarges ? { items: some.map(enlarged) } : {},
  }))
  return {
    html: drawn.html(shown),
    css: drawn.css(shown),
    font: lookGroup.font(settings),
    behaviours: [
      ...arrangementGroup.behaviours(settings),
      ...(enlarges ? ['enlarge'] : []),
      ...(more.length ? ['more'] : []),
      ...(settings.dateStyle ? datesGroup.behaviours({ dateStyle: settings.dateStyle }) : []),
    ],
    data: {
      ...arrangementGroup.data(settings),
      ...(enlarges ? enlargeData(shown.map(enlarged), enlarges.words) : {}),
      ...(more.length ? { parts: more.length } : {}),
    },
    ...(more.length ? { more } : {}),
  }
}

/** Px that cells and the button for more take. */
export const partsHeight = (settings: Laid, spec: FitSpec, width: number, heights: readonly Height[]): number => {
  const shown = heights.slice(0, moreGroup.step(settings))
  return (
    arrangementGroup.height(settings, spec, width, () => shown) +
    (shown.length < heights.length ? moreGroup.height : 0) +
    2 * spec.padding
  )
}
