import { routes } from '@pebblestrand/contract'
import type { Context } from '../../platform/context'
import { AppError } from '../../platform/errors'
import type { Serve } from '../../platform/http/serve'
import { describeSource } from '../describe-source'
import { Source } from '../models'
import { storedEntries } from '../store-items'
import { asCsv } from './as-csv'
import { beginKept, KEPT_HERE } from './begin'
import { importFile } from './import-file'
import { dropEntry, putTyped } from './typed'

/** Reviews that are kept here: typed, read from files, written to files. */
export function keptReviewRoutes(serve: Serve, context: Context): void {
  const { keptReviews } = routes

  serve(keptReviews.begin, async ({ body: { title } }) => describeSource(context.db, await beginKept(context, title)))

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
  if (source.kind !== KEPT_HERE)
    throw new AppError('cannot-now', {
      message: 'The reviews of this source are written elsewhere.',
      remedy: 'Begin a source of your own for what you type or bring in.',
    })
  return source
}
