import type { ArticleBody } from './bodies'
import type { Item } from './item'

type Fields = Partial<Omit<Item, 'id' | 'body'> & Omit<ArticleBody, 'type'>>

/** An article from as many of its fields as are known; the others are empty. */
export function articleItem(id: string, fields: Fields = {}): Item {
  const { title = '', text = '', html = '', picture = null, ...head } = fields
  return {
    id,
    author: null,
    publishedAt: null,
    link: null,
    language: null,
    labels: [],
    ...head,
    body: { type: 'article', title, text, html, picture },
  }
}
