import type { SiteLook } from '@pebblestrand/core/look'
import { computed, type ComputedRef, type InjectionKey } from 'vue'

export interface Swatch {
  colour: string
  /** "Gullhaven Ferries’ accent" needs no name of the site: the stage says which it is. */
  says: string
}

/** Colours of the site that a widget is looked at on. */
export const siteSwatchesKey: InjectionKey<ComputedRef<Swatch[]>> = Symbol('site swatches')

export const noSwatches = () => computed<Swatch[]>(() => [])

/** Each of a look's colours once. */
export function swatchesOf(look: SiteLook | null): Swatch[] {
  const named = [
    [look?.accent, 'the site’s accent'],
    [look?.button, 'the site’s buttons'],
    [look?.link, 'the site’s links'],
    [look?.heading, 'the site’s headings'],
    [look?.text, 'the site’s text'],
    [look?.background, 'the site’s background'],
  ] as const
  const seen = new Set<string>()
  return named.flatMap(([colour, says]) => {
    if (!colour || seen.has(colour)) return []
    seen.add(colour)
    return [{ colour, says }]
  })
}
