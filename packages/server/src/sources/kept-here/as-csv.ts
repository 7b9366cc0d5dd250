import type { Entry } from '@pebblestrand/core/items'
import { withoutFormulas } from '@pebblestrand/core/formulas'
import { ReviewBody } from '@pebblestrand/core/items'
import { stringify } from 'csv-stringify/sync'

const plain = (text: string | null) => withoutFormulas(text ?? '')

/** Reviews as CSV (RFC 4180), with columns that are known when it is read again. */
export const asCsv = (entries: readonly Entry[]): string =>
  stringify(
    entries.flatMap(({ key, author, publishedAt, link, language, labels, body }) => {
      const review = ReviewBody.safeParse(body).data
      if (!review) return []
      const { rating, title, text, reply } = review
      return [
        {
          id: key.replace(/^id:/, ''),
          date: publishedAt ?? '',
          author: plain(author),
          rating: rating ?? '',
          title: plain(title),
          text: plain(text),
          reply: plain(reply?.text ?? null),
          language: language ?? '',
          labels: labels.map((label) => plain(label)).join('; '),
          link: link ?? '',
        },
      ]
    }),
    { header: true, record_delimiter: '\r\n', columns: COLUMNS },
  )

const COLUMNS = ['id', 'date', 'author', 'rating', 'title', 'text', 'reply', 'language', 'labels', 'link']
