import { fitVerdict, kindOf, type FitVerdict } from '@pebblestrand/core/kinds'
import type { WidgetRow } from '../api/types'

/** Whether a widget of any kind fits a width; null where the kind is not known here, takes no room, or cannot read the settings. */
export function fitOf(kindId: string, settings: Record<string, unknown> | null, width: number): FitVerdict | null {
  const kind = kindOf(kindId)
  if (!kind?.box || !settings) return null
  const parsed = kind.settings.safeParse(settings)
  return parsed.success ? fitVerdict(kind.box, parsed.data, width) : null
}

/** "1 column of 300 px". */
export const columnsWords = ({ fit }: FitVerdict) =>
  `${fit.columns === 1 ? '1 column' : `${fit.columns} columns`} of ${Math.round(fit.cell)} px`

/** "1 column of 300 px, 4 items, about 410 px tall". */
export function sizeWords(widget: Pick<WidgetRow, 'shown' | 'heights'>, verdict: FitVerdict, width: number): string {
  const items = widget.shown ? `, ${widget.shown} items` : ''
  const height = heightAt(widget.heights, width)
  return `${columnsWords(verdict)}${items}${height ? `, about ${height} px tall` : ''}`
}

/** Between the widths it was worked out at, in proportion; px. */
function heightAt(heights: WidgetRow['heights'], width: number): number {
  const above = heights.findIndex((one) => one.width >= width)
  if (above < 0) return heights.at(-1)?.height ?? 0
  const [low, high] = [heights[above - 1] ?? heights[above]!, heights[above]!]
  const share = high.width === low.width ? 0 : (width - low.width) / (high.width - low.width)
  return Math.round(low.height + share * (high.height - low.height))
}
