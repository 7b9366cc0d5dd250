import type { Entry, TypedReview } from '../../api/types'

/** An entry as the form holds it; an empty form where there is none. */
export function typedOf(entry: Entry | null): TypedReview {
  const body = entry?.body.type === 'review' ? entry.body : null
  return {
    key: entry?.key ?? null,
    author: entry?.author ?? '',
    date: entry?.publishedAt?.slice(0, 10) ?? '',
    rating: body?.rating ?? null,
    title: body?.title ?? '',
    text: body?.text ?? '',
    reply: body?.reply?.text ?? '',
    language: entry?.language ?? '',
    labels: entry?.labels ?? [],
  }
}
