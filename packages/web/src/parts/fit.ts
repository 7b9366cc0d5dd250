import { fitVerdict, kindOf, type FitVerdict, type PayloadBase } from '@pebblestrand/core/kinds'

/** Whether a widget of any kind fits a width; null where the kind is not known here. */
export function fitOf(kindId: string, settings: Record<string, unknown> | null, width: number): FitVerdict | null {
  const kind = kindOf(kindId)
  if (!kind || !settings) return null
  const parsed = kind.settings.safeParse(settings)
  return parsed.success ? fitVerdict(kind, parsed.data, width) : null
}

/** "1 column of 300 px, 4 items, about 410 px tall". */
export function sizeWords(payload: PayloadBase, verdict: FitVerdict, width: number): string {
  const items = (payload as PayloadBase & { items?: unknown[] }).items?.length ?? 0
  const height = kindOf(payload.kind)?.height(payload, width) ?? 0
  return `${verdict.fit.columns === 1 ? '1 column' : `${verdict.fit.columns} columns`} of ${Math.round(verdict.fit.cell)} px, ${items} items, about ${height} px tall`
}
