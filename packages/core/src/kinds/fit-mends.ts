import { fit } from '../layout'
import type { Kind, Settings } from './kind'

/** One press that makes a widget fit: what it does, and the settings it changes. */
export interface FitMend {
  words: string
  change: Settings
}

const RANK = { 'too-narrow': 0, fewer: 1, fits: 2 }
/** More than these are no help in choosing. */
const MOST = 3

/**
 * What would make a widget fit a width, each worked out by trying it: none where it fits, or where only a wider placement would do.
 * @param settings as the kind's schema has them
 */
export function fitMends(kind: Pick<Kind, 'box' | 'settings'>, settings: Settings, width: number): FitMend[] {
  const { box } = kind
  if (!box) return []
  const now = fit(width, box.fit(settings))
  if (now.verdict === 'fits') return []
  const asks = (key: string) => Object.hasOwn(kind.settings.shape, key)
  const offers: (FitMend | null)[] = [
    asks('columns') && settings.columns !== now.columns
      ? { words: columnsWords(now.columns), change: { columns: now.columns } }
      : null,
    ...(['columnsPhone', 'columnsTablet'] as const).map((key) =>
      asks(key) && settings[key] !== 'fit'
        ? {
            words: `As many columns as fit on a ${key === 'columnsPhone' ? 'phone' : 'tablet'}`,
            change: { [key]: 'fit' },
          }
        : null,
    ),
    box.relief?.(settings) ?? null,
    ...[8, 4, 0].map((gap) =>
      asks('gap') && (settings.gap as number) > gap ? { words: `A gap of ${gap} px`, change: { gap } } : null,
    ),
  ]
  const better = offers.filter((offer): offer is FitMend => {
    if (!offer) return false
    const then = fit(width, box.fit({ ...settings, ...offer.change }))
    return RANK[then.verdict] > RANK[now.verdict]
  })
  // Of two gaps that do, the larger is enough.
  return better
    .filter(({ change }, at) => !('gap' in change) || better.findIndex((one) => 'gap' in one.change) === at)
    .slice(0, MOST)
}

const columnsWords = (columns: number) => (columns === 1 ? 'Make it one column' : `Make it ${columns} columns`)
