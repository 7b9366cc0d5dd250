import { routes } from '@pebblestrand/contract'
import { bodyTypes } from '@pebblestrand/core/items'
import { isWholeFact, kindsGiving, type Given } from '@pebblestrand/core/sources'
import { literal, Op } from 'sequelize'
import type { Context } from '../platform/context'
import { literally } from '../platform/database/like'
import { AppError } from '../platform/errors'
import { inSteps } from '../platform/http/in-steps'
import { windowOf } from '../platform/http/paging'
import type { Serve } from '../platform/http/serve'
import { refusalOf } from '../platform/outbound/refusal'
import { withKnownPictures } from '../pictures/own-pictures'
import { connectors } from './connector'
import { describeSource, describeSources } from './describe-source'
import { findSources } from './find-sources'
import { Source } from './models'
import { addSource, refreshSource } from './refresh'
import { connected, consentAddress } from './service/connect'
import { pageOfEntries } from './store-items'

export function sourceRoutes(serve: Serve, context: Context): void {
  const { db } = context
  const openings = { localhostNames: context.config.demo }

  serve(routes.sources.find, ({ body: { address, gives }, request, reply }) =>
    inSteps(request, reply, (tell) => findSources(context, address, gives ?? bodyTypes, tell)),
  )

  serve(routes.sources.add, async ({ body: { kind, url } }) => {
    if (!Object.hasOwn(connectors, kind))
      throw new AppError('invalid', { issues: [{ field: 'kind', message: 'is not a sort of source we have' }] })
    const refusal = refusalOf(url, openings)
    if (refusal)
      throw new AppError('address-refused', { message: refusal, issues: [{ field: 'url', message: refusal }] })
    return describeSource(db, await addSource(context, url, kind))
  })

  serve(routes.sources.list, async ({ query: { q, gives, ...paging } }) => {
    const words = { [Op.iLike]: `%${literally(q)}%` }
    const { rows, count } = await Source.findAndCountAll({
      where: {
        ...(q ? { [Op.or]: [{ title: words }, { url: words }] } : {}),
        ...(gives.length ? { [Op.and]: { [Op.or]: gives.map(giving) } } : {}),
      },
      // What fails stands first.
      order: [
        [literal('problem IS NULL'), 'ASC'],
        ['title', 'ASC'],
        ['id', 'ASC'],
      ],
      ...windowOf(paging),
    })
    return { rows: await describeSources(db, rows), total: count, page: paging.page, size: paging.size }
  })

  serve(routes.sources.read, async ({ params }) => describeSource(db, await sourceOf(params.id)))

  serve(routes.sources.items, async ({ params, query }) => {
    const source = await sourceOf(params.id)
    const { q, ...paging } = query
    const { rows, total } = await pageOfEntries(source.id, windowOf(paging), q)
    return { rows: await withKnownPictures(context, rows), total, ...paging }
  })

  serve(routes.sources.change, async ({ params, body }) => {
    const source = await sourceOf(params.id)
    // One that goes on after a pause is read at once.
    const resumes = body.paused === false && source.paused ? { nextFetchAt: new Date() } : {}
    return describeSource(db, await source.update({ ...body, ...resumes }))
  })

  serve(routes.sources.refresh, async ({ params, request, reply }) => {
    const source = await sourceOf(params.id)
    return inSteps(request, reply, async (tell) => {
      await refreshSource(context, source.id, tell)
      return describeSource(db, await source.reload())
    })
  })

  serve(routes.sources.connect, async ({ params, userId }) => ({
    address: await consentAddress(context, await sourceOf(params.id), userId),
  }))

  serve(routes.sources.connected, async ({ body, userId }) => {
    const source = await connected(context, body, userId)
    await refreshSource(context, source.id)
    return describeSource(db, await source.reload())
  })

  serve(routes.sources.disconnect, async ({ params }) => {
    const source = await sourceOf(params.id)
    await source.update({ accountId: null, nextFetchAt: new Date() })
    return describeSource(db, source)
  })
}

/** The condition on a source that gives this: of its sort, or with a fact that it says. */
const giving = (given: Given) =>
  isWholeFact(given) ? { facts: { [given]: { [Op.ne]: null } } } : { kind: kindsGiving([given]).map(({ id }) => id) }

async function sourceOf(id: string): Promise<Source> {
  const source = await Source.findByPk(id)
  if (!source) throw new AppError('not-found')
  return source
}
