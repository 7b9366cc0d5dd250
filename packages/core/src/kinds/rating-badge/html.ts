import { escapeAttribute, escapeText, linkTarget } from '../../markup'
import { clickGroup, ratingGroup } from '../groups'
import type { View } from '../kind'
import { inLanguage } from '../outermost'
import { pictureHtml } from '../picture-html'
import { PICTURE } from './box'
import type { RatingBadgeSettings } from './settings'
import { badgeOf, type Badge } from './view'

export function badgeHtml(view: View<RatingBadgeSettings>): string {
  const { settings, context } = view
  const badge = badgeOf(view)
  const lang = inLanguage(settings)
  // Nothing is claimed where nothing is known.
  if (!badge) return `<span class="w" part="widget" ${lang}></span>`
  const around = (html: string) => (settings.stands === 'here' ? html : floating(html, settings))
  const inner = parts(badge, settings)
  const name = `aria-label="${escapeAttribute(context.widgetName)}"`
  const href = settings.click === 'link' ? linkTarget(settings.link) : ''
  if (href)
    return around(`<a class="w" part="widget" ${lang} href="${href}" ${clickGroup.attributes(settings)}>${inner}</a>`)
  if (settings.click === 'panel' && badge.said.length) return around(withPanel(badge, inner, lang, view))
  return around(`<span class="w" part="widget" role="group" ${lang} ${name}>${inner}</span>`)
}

const parts = (badge: Badge, settings: RatingBadgeSettings): string =>
  [
    badge.picture && pictureHtml({ ...badge.picture, alt: '' }, { className: 'i', part: 'picture', width: PICTURE }),
    badge.label && `<span part="text">${escapeText(badge.label)}</span>`,
    badge.mean && `<b part="mean">${escapeText(badge.mean)}</b>`,
    settings.stars && `<span class="sb">${ratingGroup.stars(badge.rating, badge.starsWords)}</span>`,
    badge.count && `<span class="q" part="counts">${escapeText(badge.count)}</span>`,
  ]
    .filter(Boolean)
    .join(' ')

/** Kept clear of what a device's edges take; it can be closed where the script is there to do it. */
const floating = (html: string, { closes, labels }: RatingBadgeSettings) =>
  `<div class="fl">${html}${closes ? `<button type="button" class="cx" hidden aria-label="${escapeAttribute(labels.close)}"><span aria-hidden="true">×</span></button>` : ''}</div>`

/** The panel opens in its place without a script; the script closes it on Escape and on a press elsewhere. */
function withPanel(
  { said }: Badge,
  inner: string,
  lang: string,
  { settings, context }: View<RatingBadgeSettings>,
): string {
  const list = said
    .map(
      ({ author, rating, ratingWords, text, language }) =>
        `<li>${rating === null ? '' : `${ratingGroup.stars(rating, ratingWords)} `}<b>${escapeText(author)}</b>` +
        (text ? `<p dir="auto"${language ? ` lang="${escapeAttribute(language)}"` : ''}>${escapeText(text)}</p>` : '') +
        `</li>`,
    )
    .join('')
  return (
    `<details class="pd" ${lang}><summary class="w" part="widget">${inner}<span class="v">${escapeText(settings.labels.open)}</span></summary>` +
    `<div class="pn" part="panel" role="group" aria-label="${escapeAttribute(context.widgetName)}" tabindex="0"><ul role="list">${list}</ul></div></details>`
  )
}
