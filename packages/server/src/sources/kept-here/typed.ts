import { randomUUID } from 'node:crypto'
import type { TypedReview } from '@pebblestrand/contract'
import { languageTag } from '@pebblestrand/core/words'
import { ReviewBody, type Entry } from '@pebblestrand/core/items'
import { recomputeFor } from '../../artefacts/queue-recompute'
import type { Context } from '../../platform/context'
import { AppError } from '../../platform/errors'
import { ItemRow, type Source } from '../models'
import { asEntry } from '../store-items'
import { store } from './store'

/** Keeps a review as a person typed it; what no form asks for stays as it was. */
export async function putTyped(context: Context, source: Source, typed: TypedReview): Promise<Entry> {
  const { key, author, date, rating, title, text, reply, language, labels } = typed
  const row = key === null ? null : await ItemRow.findOne({ where: { sourceId: source.id, key } })
  // One that was taken out a moment ago comes back under its key.
  const before = row ? asEntry(row) : null
  const was = before ? ReviewBody.parse(before.body) : null
  const isSameDay = date !== '' && before?.publishedAt?.slice(0, 10) === date
  const entry: Entry = {
    key: key ?? `typed:${randomUUID()}`,
    author: author || null,
    publishedAt: date ? (isSameDay ? before.publishedAt : `${date}T12:00:00.000Z`) : null,
    link: before?.link ?? null,
    language: languageOf(language),
    labels,
    body: {
      type: 'review',
      rating,
      title,
      text,
      authorPicture: was?.authorPicture ?? null,
      pictures: was?.pictures ?? [],
      reply: reply ? { author: was?.reply?.author ?? null, text: reply, at: was?.reply?.at ?? null } : null,
    },
  }
  return (await store(context, source, [entry]))[0]!
}

function languageOf(tag: string): string | null {
  const language = languageTag(tag)
  if (tag && !language)
    throw new AppError('invalid', {
      issues: [{ field: 'language', message: 'must be a language tag like en or pt-BR' }],
    })
  return language
}

export async function dropEntry(context: Context, source: Source, key: string): Promise<Entry> {
  const row = await ItemRow.findOne({ where: { sourceId: source.id, key } })
  if (!row) throw new AppError('not-found')
  await context.db.transaction(async (transaction) => {
    await row.destroy({ transaction })
    await recomputeFor(context, 'source', source.id, transaction)
  })
  return asEntry(row)
}
