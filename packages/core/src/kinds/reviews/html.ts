import { address, escapeAttribute, escapeText } from '../../markup'
import { clickGroup, ratingGroup } from '../groups'
import type { View } from '../kind'
import { tintOf } from './author'
import { TINTS } from './css'
import type { ReviewsSettings } from './settings'
import { reviewsOf, type ShownReview } from './view'

export function reviewsHtml(view: View<ReviewsSettings>): string {
  const { heading, summary, items } = reviewsOf(view)
  const { settings, context } = view
  const write = address(settings.writeLink || null)
  return (
    `<section class="w" lang="${escapeAttribute(settings.locale)}" aria-label="${escapeAttribute(context.widgetName)}">` +
    (heading ? `<h2 class="h">${escapeText(heading)}</h2>` : '') +
    (summary ? summaryHtml(summary, settings) : '') +
    `<ul class="l" role="list">${items.map((item) => cell(item, settings)).join('')}</ul>` +
    (write
      ? `<p class="o"><a href="${write}" ${clickGroup.attributes(settings)}>${escapeText(settings.labels.write)}</a></p>`
      : '') +
    `</section>`
  )
}

type Summary = NonNullable<ReturnType<typeof reviewsOf>['summary']>

function summaryHtml(
  { mean, meanWords, starsWords, countWords, byStar }: Summary,
  { labels }: ReviewsSettings,
): string {
  const most = byStar ? Math.max(...byStar) : 0
  const bars =
    byStar && most
      ? `<dl class="d">${[5, 4, 3, 2, 1]
          .map((star) => {
            const count = byStar[star - 1]!
            const share = Math.round((count / most) * 10) * 10
            const name = ratingGroup.starsWords(labels.stars, star, 'en')
            return `<div><dt aria-label="${escapeAttribute(name)}">${star}</dt><dd class="b${share}">${count}</dd></div>`
          })
          .join('')}</dl>`
      : ''
  return `<div class="u"><p class="v"><b>${escapeText(meanWords)}</b> ${ratingGroup.stars(mean, starsWords)} <span>${escapeText(countWords)}</span></p>${bars}</div>`
}

function cell(item: ShownReview, settings: ReviewsSettings): string {
  const meta = [
    item.author && `<b>${escapeText(item.author)}</b>`,
    item.date && `<time datetime="${escapeAttribute(item.iso ?? '')}">${escapeText(item.date)}</time>`,
  ]
    .filter(Boolean)
    .join(' · ')
  const avatar = item.initials
    ? `<span class="a t${tintOf(item.author || item.initials, TINTS)}" aria-hidden="true">${escapeText(item.initials)}</span>`
    : ''
  const spoken = item.language ? ` lang="${escapeAttribute(item.language)}"` : ''
  const href = address(item.link)
  return (
    `<li class="c">` +
    (avatar || meta ? `<div class="m">${avatar}<p>${meta}</p></div>` : '') +
    (item.rating === null ? '' : `<p class="g">${ratingGroup.stars(item.rating, item.ratingWords)}</p>`) +
    (item.title ? `<h3 class="t"${spoken}>${escapeText(item.title)}</h3>` : '') +
    (item.text ? text(item, spoken, settings) : '') +
    (item.reply ? reply(item.reply, settings) : '') +
    (href
      ? `<p class="f"><a href="${href}" ${clickGroup.attributes(settings)}>${escapeText(settings.labels.source)}</a></p>`
      : '') +
    `</li>`
  )
}

/** The whole text opens in its place, without a script. */
function text({ text: shown, whole }: ShownReview, spoken: string, { labels }: ReviewsSettings): string {
  if (whole === null) return `<p class="x" dir="auto"${spoken}>${escapeText(shown)}</p>`
  return (
    `<details class="x" dir="auto"${spoken}><summary><span class="k">${escapeText(shown)} </span>` +
    `<span class="n">${escapeText(labels.more)}</span></summary>${escapeText(whole)}</details>`
  )
}

const reply = ({ text: words, date }: NonNullable<ShownReview['reply']>, { labels }: ReviewsSettings) =>
  `<blockquote class="y"><p class="z">${escapeText([labels.reply, date].filter(Boolean).join(' · '))}</p><p dir="auto">${escapeText(words)}</p></blockquote>`
