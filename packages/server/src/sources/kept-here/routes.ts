import { randomUUID } from 'node:crypto'
import { routes } from '@pebblestrand/contract'
import { sourceKinds } from '@pebblestrand/core/sources'
import type { Context } from '../../platform/context'
import { AppError } from '../../platform/errors'
import type { Serve } from '../../platform/http/serve'
import { describeSource } from '../describe-source'
import { Source } from '../models'
import { storedEntries } from '../store-items'
import { asCsv } from './as-csv'
import { importFile } from './import-file'
import { dropEntry, putTyped } from './typed'

const KIND = sourceKinds['kept-here']!

/** Reviews that are kept here: typed, read from files, written to files. */
export function keptReviewRoutes(serve: Serve, context: Context): void {
  const { keptReviews } = routes

  serve(keptReviews.begin, async ({ body: { title } }) => {
    const id = randomUUID()
    const url = `${context.config.origin}/sources/${id}`
    const now = new Date()
    const source = await Source.create({
      id,
      kind: KIND.id,
      url,
      title,
      format: KIND.id,
      fetchedAt: now,
      okAt: now,
    })
    return describeSource(context.db, source)
  })

  serve(keptReviews.readFile, async ({ params, body }) => importFile(context, await keptSource(params.id), body))

  serve(keptReviews.put, async ({ params, body }) => putTyped(context, await keptSource(params.id), body))

  serve(keptReviews.drop, async ({ params, body }) => dropEntry(context, await keptSource(params.id), body.key))

  serve(keptReviews.save, async ({ params, reply }) => {
    const source = await Source.findByPk(params.id)
    if (!source) throw new AppError('not-found')
    const [stored] = await storedEntries([source.id])
    return reply
      .type('text/csv; charset=utf-8')
      .header('content-disposition', 'attachment; filename="reviews.csv"')
      .send(asCsv(stored!.entries))
  })
}

async function keptSource(id: string): Promise<Source> {
  const source = await Source.findByPk(id)
  if (!source) throw new AppError('not-found')
  if (source.kind !== KIND.id)
    throw new AppError('cannot-now', {
      message: 'The reviews of this source are written elsewhere.',
      remedy: 'Begin a source of your own for what you type or bring in.',
    })
  return source
}
