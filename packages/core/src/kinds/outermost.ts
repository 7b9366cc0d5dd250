import { escapeAttribute } from '../markup'
import type { RenderContext } from './kind'
import { directionOf } from './spoken'

/**
 * The language of a widget as attributes, and which way it runs where that is from right to left; else it runs as the page does,
 * whose own language may be none that is spoken here.
 */
export const inLanguage = ({ locale }: { locale: string }) =>
  `lang="${escapeAttribute(locale)}"${directionOf(locale) === 'rtl' ? ' dir="rtl"' : ''}`

/** A widget's outermost element around what is in it. */
export const outermost = (settings: { locale: string }, { widgetName }: RenderContext, inner: string) =>
  `<section class="w" part="widget" ${inLanguage(settings)} aria-label="${escapeAttribute(widgetName)}">${inner}</section>`
