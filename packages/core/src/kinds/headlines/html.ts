import { address, escapeText, escapeAttribute } from '../../markup'
import { arrangementGroup, clickGroup } from '../groups'
import type { View } from '../kind'
import type { HeadlinesSettings } from './settings'
import { pictureHtml } from '../picture-html'
import { THUMB } from './box'
import { headlinesOf, type Headline } from './view'

/** Px: a picture across a cell of a grid, as wide as most are. */
const PICTURE_WIDTH = 400

export function headlinesHtml(view: View<HeadlinesSettings>): string {
  const { heading, description, items } = headlinesOf(view)
  const { settings, context } = view
  return (
    `<section class="w" lang="${escapeAttribute(settings.locale)}" aria-label="${escapeAttribute(context.widgetName)}">` +
    (heading ? `<h2 class="h">${escapeText(heading)}</h2>` : '') +
    (description ? `<p class="e">${escapeText(description)}</p>` : '') +
    `${arrangementGroup.html(settings, items.map((item) => cell(item, settings)).join(''), context.widgetName, settings.labels)}</section>`
  )
}

function cell(item: Headline, settings: HeadlinesSettings): string {
  const width = settings.picture === 'left' ? THUMB : PICTURE_WIDTH
  const picture = item.picture ? pictureHtml(item.picture, { className: 'p', width }) : ''
  const meta = [
    item.author && escapeText(item.author),
    item.date && `<time datetime="${escapeAttribute(item.iso ?? '')}">${escapeText(item.date)}</time>`,
  ]
    .filter(Boolean)
    .join(' · ')
  return (
    `<li class="c${picture ? ' i' : ''}">${picture}<div class="b">` +
    `<h3 class="t">${titled(item, settings)}</h3>` +
    (meta ? `<p class="m">${meta}</p>` : '') +
    (item.excerpt ? `<p class="x">${escapeText(item.excerpt)}</p>` : '') +
    `</div></li>`
  )
}

function titled(item: Headline, settings: HeadlinesSettings): string {
  const href = address(item.link)
  const title = escapeText(item.title)
  return href ? `<a href="${href}" ${clickGroup.attributes(settings)}>${title}</a>` : title
}
