import { address, escapeAttribute, escapeText, linkTarget } from '../../markup'
import { arrangementGroup, clickGroup, datesGroup, elsewhereGroup, headingGroup, ratingGroup } from '../groups'
import type { View } from '../kind'
import { outermost } from '../outermost'
import { pictureHtml } from '../picture-html'
import { tintOf } from './author'
import { SIZES } from './box'
import { TINTS } from './css'
import type { ReviewsSettings } from './settings'
import { markedUp } from './marked-up'
import { reviewsOf, type ShownReview } from './view'

export function reviewsHtml(view: View<ReviewsSettings>): string {
  const { heading, description, link, summary, phrases, items } = reviewsOf(view)
  const { settings, context } = view
  const write = linkTarget(settings.writeLink)
  return outermost(
    settings,
    context,
    headingGroup.html(heading, description) +
      (summary ? summaryHtml(summary, settings) : '') +
      (phrases.length ? phrasesHtml(phrases, settings) : '') +
      arrangementGroup.html(
        settings,
        items.map((item) => cell(item, settings)).join(''),
        heading || context.widgetName,
        settings.labels,
      ) +
      elsewhereGroup.html(link) +
      (write
        ? `<p class="o"><a part="button" href="${write}" ${clickGroup.attributes(settings)}>${escapeText(settings.labels.write)}</a></p>`
        : '') +
      (settings.markup ? markedUp(view) : ''),
  )
}

const phrasesHtml = (phrases: { text: string; count: string }[], { labels }: ReviewsSettings) =>
  `<p class="sp" part="phrases">${escapeText(labels.phrases)} ${phrases.map(({ text, count }) => `<span><b>${escapeText(text)}</b> ${escapeText(count)}</span>`).join(' ')}</p>`

type Summary = NonNullable<ReturnType<typeof reviewsOf>['summary']>

function summaryHtml(
  { mean, meanWords, starsWords, countWords, byStar }: Summary,
  { labels }: ReviewsSettings,
): string {
  const most = byStar ? Math.max(...byStar) : 0
  const bars =
    byStar && most
      ? `<dl class="d" part="bars">${[5, 4, 3, 2, 1]
          .map((star) => {
            const count = byStar[star - 1]!
            const share = Math.round((count / most) * 10) * 10
            const name = ratingGroup.starsWords(labels.stars, star, 'en')
            return `<div><dt aria-label="${escapeAttribute(name)}">${star}</dt><dd class="b${share}">${count}</dd></div>`
          })
          .join('')}</dl>`
      : ''
  return `<div class="u" part="summary"><p class="v"><b>${escapeText(meanWords)}</b> ${ratingGroup.stars(mean, starsWords)} <span>${escapeText(countWords)}</span></p>${bars}</div>`
}

function cell(item: ShownReview, settings: ReviewsSettings): string {
  const meta = [
    item.author && `<b>${escapeText(item.author)}</b>`,
    item.date && datesGroup.html(settings, item.iso, item.date),
  ]
    .filter(Boolean)
    .join(' · ')
  const face = item.face ? pictureHtml(item.face, { className: 'a', part: 'face', width: SIZES.avatar }) : ''
  const avatar = face
    ? face
    : item.initials
      ? `<span part="face" class="a t${tintOf(item.author || item.initials, TINTS)}" aria-hidden="true">${escapeText(item.initials)}</span>`
      : ''
  const spoken = item.language ? ` lang="${escapeAttribute(item.language)}"` : ''
  const href = address(item.link)
  return (
    `<li class="c" part="item">` +
    (avatar || meta ? `<div class="m" part="meta">${avatar}<p>${meta}</p></div>` : '') +
    (item.rating === null ? '' : `<p class="sr">${ratingGroup.stars(item.rating, item.ratingWords)}</p>`) +
    (item.title ? `<h3 class="t" part="title"${spoken}>${escapeText(item.title)}</h3>` : '') +
    (item.text ? text(item, spoken, settings) : '') +
    pictures(item) +
    (item.reply ? reply(item.reply, settings) : '') +
    (item.source
      ? `<p class="f" part="source">${href ? `<a part="link" href="${href}" ${clickGroup.attributes(settings)}>${escapeText(item.source)}</a>` : escapeText(item.source)}</p>`
      : '') +
    `</li>`
  )
}

function pictures({ pictures }: ShownReview): string {
  if (!pictures.length) return ''
  return `<div class="ps">${pictures.map((one) => pictureHtml(one, { className: 'p', part: 'picture', width: SIZES.picture })).join('')}</div>`
}

/** The whole text opens in its place, without a script. */
function text({ text: shown, whole }: ShownReview, spoken: string, { labels }: ReviewsSettings): string {
  if (whole === null) return `<p class="x" part="text" dir="auto"${spoken}>${escapeText(shown)}</p>`
  return (
    `<details class="x" part="text" dir="auto"${spoken}><summary><span class="k">${escapeText(shown)} </span>` +
    `<span class="n">${escapeText(labels.more)}</span></summary>${escapeText(whole)}</details>`
  )
}

const reply = ({ text: words, date }: NonNullable<ShownReview['reply']>, { labels }: ReviewsSettings) =>
  `<blockquote class="y" part="answer"><p class="z">${escapeText([labels.reply, date].filter(Boolean).join(' · '))}</p><p dir="auto">${escapeText(words)}</p></blockquote>`
