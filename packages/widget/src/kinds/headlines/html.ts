import type { Headline, HeadlinesPayload } from '@pebblestrand/core/kinds'
import { address, escape } from '../../markup'

export function headlinesHtml(payload: HeadlinesPayload): string {
  const heading = payload.heading ? `<h2 class="h">${escape(payload.heading)}</h2>` : ''
  const items = payload.items.map((item) => cell(item, payload)).join('')
  return `<section class="w" lang="${escape(payload.locale)}" aria-label="${escape(payload.name)}">${heading}<ul class="l" role="list">${items}</ul></section>`
}

function cell(item: Headline, payload: HeadlinesPayload): string {
  const src = address(item.picture?.url ?? null)
  const picture = src
    ? `<img class="p" src="${src}" alt="${escape(item.picture!.alt)}" loading="lazy" decoding="async">`
    : ''
  const meta = [
    item.author && escape(item.author),
    item.date && `<time datetime="${escape(item.iso ?? '')}">${escape(item.date)}</time>`,
  ]
    .filter(Boolean)
    .join(' · ')
  return (
    `<li class="c${picture ? ' i' : ''}">${picture}<div class="b">` +
    `<h3 class="t">${titled(item, payload.newTab)}</h3>` +
    (meta ? `<p class="m">${meta}</p>` : '') +
    (item.excerpt ? `<p class="x">${escape(item.excerpt)}</p>` : '') +
    `</div></li>`
  )
}

function titled(item: Headline, newTab: boolean): string {
  const href = address(item.link)
  if (!href) return escape(item.title)
  return `<a href="${href}" ${newTab ? 'target="_blank" rel="noopener"' : 'target="_top"'}>${escape(item.title)}</a>`
}
