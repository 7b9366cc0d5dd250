import { columnSteps, fit, wholeRows, type Fit } from '../layout'
import type { Box, Kind } from './kind'
import { listed as listedWords } from '../words'
import { settingRegistry } from './setting'

export interface FitVerdict {
  verdict: Fit['verdict']
  /** One word first, then the sentence: "Fits." "3 columns of 229 px in 720 px." */
  head: string
  says: string
  fit: Fit
}

const px = (value: number) => `${Math.round(value)} px`
const listed = (numbers: readonly number[], word: string) => listedWords(numbers.map(String), word)
const columnsOf = (n: number) => (n === 1 ? '1 column' : `${n} columns`)

/** Whether a widget fits a width, in words, with what would fit where it does not. */
export function fitVerdict<S>(box: Pick<Box<S>, 'fit' | 'one'>, settings: S, width: number): FitVerdict {
  const spec = box.fit(settings)
  const result = fit(width, spec)
  const wants = `${box.one} wants at least ${px(spec.cellMin)}`
  const says = {
    fits: `${columnsOf(result.columns)} of ${px(result.cell)} in ${px(width)}; ${wants}.`,
    fewer: `${columnsOf(result.asked)} would be ${px(result.askedCell)} each and ${wants}, so ${columnsOf(result.columns)} of ${px(result.cell)} ${result.columns === 1 ? 'is' : 'are'} shown. ${columnsOf(result.asked)} fit from ${px(result.wantsWidth)} up.`,
    'too-narrow': `${columnsOf(result.columns)} ${result.columns === 1 ? 'is' : 'are'} ${px(result.cell)}${result.columns === 1 ? '' : ' each'} here, and ${wants}. Take a placement of ${px(result.shownWants)} or more${result.columns === 1 ? '' : ', or fewer columns for places as narrow as this'}${spec.relief ? `, or ${spec.relief}` : ''}.`,
  }[result.verdict]
  return {
    verdict: result.verdict,
    head: { fits: 'Fits.', fewer: 'Fits with fewer columns.', 'too-narrow': 'Too narrow.' }[result.verdict],
    says,
    fit: result,
  }
}

/** Whether the last row is full at every width, and the counts that would fill it; null where there are no rows of several. */
export function rowsHint<S>(
  box: Pick<Box<S>, 'fit' | 'extra'>,
  settings: S,
  count: number,
  most: number,
): string | null {
  const shapes = [...new Set(columnSteps(box.fit(settings)).map(({ columns }) => columns))]
    .filter((columns) => columns > 1)
    .map((columns) => ({ columns, extra: box.extra?.(settings, columns) ?? 0 }))
  if (!shapes.length) return null
  const widths = `with ${listed(shapes.map(({ columns }) => columns).reverse(), 'and')} columns`
  const everywhere = wholeRows(count, shapes, most)
  if (everywhere?.length === 0) return `${count} items fill whole rows ${widths}.`
  if (everywhere) return `The last row has gaps: ${listed(everywhere, 'or')} would fill it ${widths}.`
  const widest = wholeRows(count, [shapes.at(-1)!], most)
  const atLeast = widest?.length
    ? ` ${listed(widest, 'or')} would at least fill it with ${shapes.at(-1)!.columns}.`
    : ''
  return `No number up to ${most} fills the last row ${widths}.${atLeast}`
}

/** How many items would fill the last row where so many columns are shown; none where it is full, or is to be cut to whole rows. */
export function fillsHere<S>(
  box: Pick<Box<S>, 'extra'>,
  settings: S,
  columns: number,
  count: number,
  most: number,
): number[] {
  if (columns < 2 || (settings as { rows?: string }).rows?.match(/^\d/)) return []
  return [...(wholeRows(count, [{ columns, extra: box.extra?.(settings, columns) ?? 0 }], most) ?? [])]
}

/** The same as a sentence; null where there is nothing to say. */
export function gapsHere<S>(...asked: Parameters<typeof fillsHere<S>>): string | null {
  const fill = fillsHere(...asked)
  return fill.length ? `The last row has gaps: ${listed(fill, 'or')} would fill it.` : null
}

/** The most items that a kind shows, as its setting for that allows. */
export function mostItems(kind: Pick<Kind, 'settings'>): number {
  const control = kind.settings.shape.count && settingRegistry.get(kind.settings.shape.count)?.control
  return control?.type === 'number' ? control.max : USUAL_MOST
}
/** Of a kind that does not say. */
const USUAL_MOST = 20
