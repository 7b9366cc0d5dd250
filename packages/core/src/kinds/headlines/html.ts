import { address, escapeText } from '../../markup'
import { arrangementGroup, clickGroup, datesGroup, elsewhereGroup, headingGroup } from '../groups'
import type { View } from '../kind'
import { outermost } from '../outermost'
import type { HeadlinesSettings } from './settings'
import { pictureHtml } from '../picture-html'
import { THUMB } from './box'
import { headlinesOf, type Headline } from './view'

/** Px: a picture across a cell of a grid, as wide as most are. */
const PICTURE_WIDTH = 400

export function headlinesHtml(view: View<HeadlinesSettings>): string {
  const { heading, description, link, items } = headlinesOf(view)
  const { settings, context } = view
  return outermost(
    settings,
    context,
    headingGroup.html(heading, description) +
      `${arrangementGroup.html(settings, items.map((item) => cell(item, settings)).join(''), context.widgetName, settings.labels)}${elsewhereGroup.html(link)}`,
  )
}

function cell(item: Headline, settings: HeadlinesSettings): string {
  const width = settings.picture === 'left' ? THUMB : PICTURE_WIDTH
  const picture = item.picture ? pictureHtml(item.picture, { className: 'p', part: 'picture', width }) : ''
  const meta = [
    item.author && escapeText(item.author),
    item.source && escapeText(item.source),
    item.date && datesGroup.html(settings, item.iso, item.date),
  ]
    .filter(Boolean)
    .join(' · ')
  return (
    `<li part="item" class="c${picture ? ' i' : ''}">${picture}<div class="b">` +
    `<h3 class="t" part="title">${titled(item, settings)}</h3>` +
    (meta ? `<p class="m" part="meta">${meta}</p>` : '') +
    (item.excerpt ? `<p class="x" part="text">${escapeText(item.excerpt)}</p>` : '') +
    `</div></li>`
  )
}

function titled(item: Headline, settings: HeadlinesSettings): string {
  const href = address(item.link)
  const title = escapeText(item.title)
  return href ? `<a part="link" href="${href}" ${clickGroup.attributes(settings)}>${title}</a>` : title
}
