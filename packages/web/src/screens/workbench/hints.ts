import { kindOf, mostItems, rowsHint, type HintId } from '@pebblestrand/core/kinds'
import { contrast, contrastVerdict, type SiteLook } from '@pebblestrand/core/look'
import { fit } from '@pebblestrand/core/layout'
import type { InjectionKey } from 'vue'

/** What a setting's control says beside its value. */
export const hintsKey: InjectionKey<(ids: readonly HintId[]) => string[]> = Symbol('hints')

export interface Situation {
  kind: string
  settings: Record<string, unknown>
  /** Px, of the stage. */
  width: number
  look: SiteLook | null
  /** How many items are shown. */
  shown: number
}

/** Colours that apply where none is set: the site's, or dark on white. Null for a kind that has none. */
export function readableContrast({ kind, settings, look }: Situation): { text: string; passes: boolean } | null {
  const colours = kindOf(kind)?.colours?.(settings)
  if (!colours) return null
  const ratio = contrast(
    colours.text || (look?.text ?? '#1d2b34'),
    colours.background || (look?.background ?? '#ffffff'),
  )
  const verdict = contrastVerdict(ratio)
  return { text: `Text ${verdict.says}`, passes: verdict.passes }
}

const hints: Record<HintId, (situation: Situation) => (string | null | undefined)[]> = {
  rows: ({ kind, settings }) => {
    const known = kindOf(kind)
    return [known?.box && rowsHint(known.box, settings, Number(settings.count ?? 0), mostItems(known))]
  },
  cell: ({ kind, settings, width }) => {
    const spec = kindOf(kind)?.box?.fit(settings)
    return [spec && `${Math.round(fit(width, spec).askedCell)} px each in ${width} px.`]
  },
  phrases: () => [
    'Counted in the reviews themselves, in English, German, French, Spanish or Dutch, by the language of the widget’s dates.',
  ],
  markup: () => [
    'Search engines show no stars for what a business’s own site says of it, and may take it for an attempt to mislead. Leave it off there; use it where the page is about a thing, a course or somebody else.',
  ],
  contrast: (situation) => {
    const verdict = readableContrast(situation)
    return [verdict && `${verdict.text}.`]
  },
}

export const hintsFor = (ids: readonly HintId[], situation: Situation): string[] =>
  ids.flatMap((id) => hints[id](situation)).filter((hint): hint is string => Boolean(hint))
