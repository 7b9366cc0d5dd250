import { readingOf, type Item } from '@pebblestrand/core/items'
import { settingsOf, siftingOf, type Kind, type Settings } from '@pebblestrand/core/kinds'
import { whatToLoosen, type Sieved } from '@pebblestrand/core/sieve'

/** An item as a line of a list. */
export interface ItemLine {
  id: string
  title: string
  /** ISO 8601. */
  at: string | null
}

/** What the bench says of a sieve: numbers and a few lines, however many items there are. */
export interface BenchSieve {
  all: number
  steps: { label: string; after: number; taken: number; lines: ItemLine[] }[]
  shown: number
  lines: ItemLine[]
  /** Single rules to loosen, where nothing is left or less than a whole row; `change` is what to set. */
  loosenings: { label: string; more: number; change: Settings | null }[]
  /** Titles of the items that the settings name. */
  named: Record<string, string>
}

const MOST_TAKEN = 30
const MOST_SHOWN = 60

const lineOf = ({ id, body, publishedAt }: Item): ItemLine => ({
  id,
  title: readingOf(body).title(body),
  at: publishedAt,
})

export function benchSieve(
  kind: Kind,
  settings: Settings,
  items: readonly Item[],
  { all, steps, items: shown }: Sieved,
  now: Date,
): BenchSieve {
  const wholeRow = kind.box?.fit(settings).columns ?? 1
  return {
    all,
    steps: steps.map(({ label, after, taken }) => ({
      label,
      after,
      taken: taken.length,
      lines: taken.slice(0, MOST_TAKEN).map(lineOf),
    })),
    shown: shown.length,
    lines: shown.slice(0, MOST_SHOWN).map(lineOf),
    loosenings: shown.length < wholeRow ? loosenings(kind, settings, items, now) : [],
    named: named(kind, settings, items),
  }
}

function loosenings(kind: Kind, settings: Settings, items: readonly Item[], now: Date) {
  const sifting = siftingOf(kind, settings, items)
  if (!sifting) return []
  return whatToLoosen(sifting.items, sifting.rules, sifting.order, now).map(({ rule, label, more }) => ({
    label,
    more,
    change: kind.content!.loosened?.(rule) ?? null,
  }))
}

function named(kind: Kind, settings: Settings, items: readonly Item[]): Record<string, string> {
  const ids = settingsOf(kind)
    .filter(({ meta }) => meta.control.type === 'items' || meta.control.type === 'item-links')
    .flatMap(({ key }) =>
      (settings[key] as (string | { id: string })[]).map((one) => (typeof one === 'string' ? one : one.id)),
    )
  if (!ids.length) return {}
  const wanted = new Set(ids)
  return Object.fromEntries(items.filter(({ id }) => wanted.has(id)).map((item) => [item.id, lineOf(item).title]))
}
