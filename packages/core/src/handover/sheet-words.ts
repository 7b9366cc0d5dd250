import type { LabelLanguage } from '../words'
import { ar } from './words/ar'
import { da } from './words/da'
import { de } from './words/de'
import { el } from './words/el'
import { en } from './words/en'
import { es } from './words/es'
import { fr } from './words/fr'
import { it } from './words/it'
import { ja } from './words/ja'
import { nb } from './words/nb'
import { nl } from './words/nl'
import { pl } from './words/pl'
import { pt } from './words/pt'
import { sv } from './words/sv'
import { tr } from './words/tr'
import { uk } from './words/uk'

/** What a sheet says, by what it is for. */
export type SheetWordId = keyof typeof en
export type SheetWords = Record<SheetWordId, string>

/** By language, ISO 639-1: those that widgets speak. */
export const sheetWords: Record<LabelLanguage, SheetWords> = {
  en,
  de,
  fr,
  es,
  pt,
  it,
  nl,
  da,
  nb,
  sv,
  pl,
  uk,
  el,
  tr,
  ja,
  ar,
}
