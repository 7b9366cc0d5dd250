import { kindOf, measured, mostItems, rowsHint, type HintId, type Measured } from '@pebblestrand/core/kinds'
import { contrastVerdict, siteColours, type SiteLook } from '@pebblestrand/core/look'
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

/** Every two colours that meet, on the site it is looked at on, the hardest to read first. Empty for a kind without colours. */
export const contrasts = ({ kind, settings, look }: Situation): Measured[] =>
  (kindOf(kind)?.pairs?.(settings, siteColours(look)) ?? [])
    .map(measured)
    .sort((a, b) => a.ratio / a.least - b.ratio / b.least)

/** The contrast of the text, in a word; of all themes the hardest to read. */
export function textContrast(situation: Situation): string {
  const text = contrasts(situation).find(({ what }) => what === 'Text')
  return text ? `Text ${contrastVerdict(text.ratio).says}.` : ''
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
  phones: ({ settings }) => [
    (settings.devices as string[]).includes('phone')
      ? 'Search engines mark pages down whose first look on a phone is covered by something like this.'
      : 'Off on phones unless you ask for it: search engines mark intrusive ones down.',
  ],
  closing: () => ['Two weeks to a month are common: who closed it has seen it.'],
  contrast: (situation) => [textContrast(situation)],
}

export const hintsFor = (ids: readonly HintId[], situation: Situation): string[] =>
  ids.flatMap((id) => hints[id](situation)).filter((hint): hint is string => Boolean(hint))
