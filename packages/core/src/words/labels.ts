import { numberFormat, pluralRules } from './formats'
import { ar } from './labels/ar'
import { da } from './labels/da'
import { de } from './labels/de'
import { el } from './labels/el'
import { en } from './labels/en'
import { es } from './labels/es'
import { fr } from './labels/fr'
import { it } from './labels/it'
import { ja } from './labels/ja'
import { nb } from './labels/nb'
import { nl } from './labels/nl'
import { pl } from './labels/pl'
import { pt } from './labels/pt'
import { sv } from './labels/sv'
import { tr } from './labels/tr'
import { uk } from './labels/uk'

/** What a widget says of itself, by what it is for. */
export type LabelId = keyof typeof en
export type Labels = Record<LabelId, string>

/** By language, ISO 639-1. */
export const labels = { en, de, fr, es, pt, it, nl, da, nb, sv, pl, uk, el, tr, ja, ar } as const satisfies Record<
  string,
  Labels
>
export type LabelLanguage = keyof typeof labels

/** Plural categories in the order in which a label's forms stand (CLDR, Unicode technical standard 35, part 3). */
const CATEGORIES = ['zero', 'one', 'two', 'few', 'many', 'other'] as const

/** The categories that a language has, in that order. */
export function pluralCategories(locale: string): Intl.LDMLPluralRule[] {
  const has = new Set(pluralRules(locale).resolvedOptions().pluralCategories)
  return CATEGORIES.filter((one) => has.has(one))
}

/**
 * A label with its number in it: "{n} review | {n} reviews" has a form for each plural category of the language, in CLDR's order;
 * of fewer forms the last one stands for the rest.
 */
export function counted(label: string, n: number, locale: string): string {
  const forms = label.split('|').map((form) => form.trim())
  const at = forms.length > 1 ? pluralCategories(locale).indexOf(pluralRules(locale).select(n)) : 0
  return forms[Math.min(Math.max(at, 0), forms.length - 1)]!.replaceAll('{n}', numberFormat(locale).format(n))
}
