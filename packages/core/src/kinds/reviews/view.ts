import { sourceOf, type Item, type Picture, type ReviewBody } from '../../items'
import { meanWords } from '../../stats'
import { counted, numberFormat } from '../../words'
import { datesGroup, headingGroup, ratingGroup } from '../groups'
import type { RenderContext, View } from '../kind'
import { excerptOf } from '../excerpt'
import { authorName, initialsOf } from './author'
import { sources, type ReviewsSettings } from './settings'

export interface ShownReview {
  rating: number | null
  /** The stars, said aloud. */
  ratingWords: string
  title: string
  /** What is shown at once, and all of it where that is more. */
  text: string
  whole: string | null
  language: string | null
  author: string
  initials: string
  /** Of the author, where there is one and it is to be shown. */
  face: Picture | null
  pictures: Picture[]
  /** Where it was written, in words; '' where that is not said. */
  source: string
  date: string
  iso: string | null
  link: string | null
  reply: { text: string; date: string } | null
}

/** What is said, every word as it will stand there. */
export function reviewsOf(view: View<ReviewsSettings>) {
  const { settings, items, context } = view
  const ids = sources.sourceIds(settings)
  const { mean, count, byStar } = ratingGroup.summary(ids, view)
  return {
    heading: headingGroup.heading(settings, ids, context),
    link: headingGroup.link(ids, context),
    description: settings.description,
    phrases: (view.phrases ?? []).map(({ text, count }) => ({
      text,
      count: numberFormat(settings.locale).format(count),
    })),
    summary:
      settings.summary && mean !== null
        ? {
            mean,
            meanWords: meanWords(mean, settings.locale),
            starsWords: ratingGroup.starsWords(settings.labels.stars, mean, settings.locale),
            countWords: counted(settings.labels.count, count, settings.locale),
            byStar,
          }
        : null,
    items: items.map((item) => shownReview(item, settings, context)),
  }
}

const MOST_PICTURES = 4

function shownReview(
  { id, author, publishedAt, link, language, body }: Item,
  settings: ReviewsSettings,
  context: RenderContext,
): ShownReview {
  const { rating, title, text, reply, authorPicture, pictures } = body as ReviewBody
  const named = authorName(author, settings.name)
  const from = context.sources[sourceOf(id)]?.title ?? ''
  const shown = settings.letters ? excerptOf(text, settings.letters) : text
  return {
    rating,
    ratingWords: rating === null ? '' : ratingGroup.starsWords(settings.labels.stars, rating, settings.locale),
    title,
    text: shown,
    whole: shown === text ? null : text,
    language,
    author: named,
    initials: settings.avatar !== 'none' && author && settings.name !== 'none' ? initialsOf(author) : '',
    face: settings.avatar === 'own' && settings.name !== 'none' ? authorPicture : null,
    pictures: settings.pictures
      ? pictures
          .slice(0, MOST_PICTURES)
          .map((one) => ({ ...one, alt: one.alt || settings.labels.picture.replaceAll('{name}', named || '…') }))
      : [],
    source: settings.from && from ? settings.labels.source.replaceAll('{source}', from) : '',
    date: settings.date && publishedAt ? datesGroup.format(settings, publishedAt, context) : '',
    iso: publishedAt,
    link,
    reply:
      settings.reply && reply
        ? { text: reply.text, date: reply.at && settings.date ? datesGroup.format(settings, reply.at, context) : '' }
        : null,
  }
}
