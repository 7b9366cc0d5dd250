import type { ReviewBody } from './bodies'
import type { Item } from './item'

type Fields = Partial<Omit<Item, 'id' | 'body'> & Omit<ReviewBody, 'type'>>

/** A review from as many of its fields as are known; the others are empty. */
export function reviewItem(id: string, fields: Fields = {}): Item {
  const { rating = null, title = '', text = '', authorPicture = null, pictures = [], reply = null, ...head } = fields
  return {
    id,
    author: null,
    publishedAt: null,
    link: null,
    language: null,
    labels: [],
    ...head,
    body: { type: 'review', rating, title, text, authorPicture, pictures, reply },
  }
}
