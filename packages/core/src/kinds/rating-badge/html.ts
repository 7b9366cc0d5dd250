import { address, escapeAttribute, escapeText } from '../../markup'
import { clickGroup, ratingGroup } from '../groups'
import type { View } from '../kind'
import type { RatingBadgeSettings } from './settings'
import { badgeOf } from './view'

export function badgeHtml(view: View<RatingBadgeSettings>): string {
  const { settings, context } = view
  const badge = badgeOf(view)
  const lang = `lang="${escapeAttribute(settings.locale)}"`
  // Nothing is claimed where nothing is known.
  if (!badge) return `<span class="w" ${lang}></span>`
  const parts = [
    badge.label && `<span>${escapeText(badge.label)}</span>`,
    badge.mean && `<b>${escapeText(badge.mean)}</b>`,
    settings.stars && ratingGroup.stars(badge.rating, badge.starsWords),
    badge.count && `<span class="q">${escapeText(badge.count)}</span>`,
  ].filter(Boolean)
  const href = address(settings.link || null)
  const inner = parts.join(' ')
  const name = `aria-label="${escapeAttribute(context.widgetName)}"`
  return href
    ? `<a class="w" ${lang} href="${href}" ${clickGroup.attributes(settings)}>${inner}</a>`
    : `<span class="w" role="group" ${lang} ${name}>${inner}</span>`
}
