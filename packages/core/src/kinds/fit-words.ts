import { fit, wholeRows, type Fit } from '../layout'
import type { Box } from './kind'

export interface FitVerdict {
  verdict: Fit['verdict']
  /** One word first, then the sentence: "Fits." "3 columns of 229 px in 720 px." */
  head: string
  says: string
  fit: Fit
}

const px = (value: number) => `${Math.round(value)} px`
const columnsOf = (n: number) => (n === 1 ? '1 column' : `${n} columns`)

/** Whether a widget fits a width, in words, with what would fit where it does not. */
export function fitVerdict<S>(box: Pick<Box<S>, 'fit' | 'one'>, settings: S, width: number): FitVerdict {
  const spec = box.fit(settings)
  const result = fit(width, spec)
  const wants = `${box.one} wants at least ${px(spec.cellMin)}`
  const says = {
    fits: `${columnsOf(result.columns)} of ${px(result.cell)} in ${px(width)}; ${wants}.`,
    fewer: `${columnsOf(spec.columns)} would be ${px(result.askedCell)} each and ${wants}, so ${columnsOf(result.columns)} of ${px(result.cell)} ${result.columns === 1 ? 'is' : 'are'} shown. ${columnsOf(spec.columns)} fit from ${px(result.wantsWidth)} up.`,
    'too-narrow': `1 column is ${px(result.cell)} here, and ${wants}. Take a placement of ${px(result.oneColumnWants)} or more${spec.relief ? `, or ${spec.relief}` : ''}.`,
  }[result.verdict]
  return {
    verdict: result.verdict,
    head: { fits: 'Fits.', fewer: 'Fits with fewer columns.', 'too-narrow': 'Too narrow.' }[result.verdict],
    says,
    fit: result,
  }
}

/** A hint where the last row has gaps: the counts that would fill it. */
export function rowsHint(count: number, columns: number, most: number): string | null {
  const better = wholeRows(count, columns, most)
  if (columns < 2) return null
  if (!better.length) return count % columns === 0 ? `${count} items fill ${count / columns} whole rows.` : null
  return `The last row has gaps: ${better.join(' or ')} would fill it.`
}
