import { routes } from '@pebblestrand/contract'
import { bodyTypes, type BodyType } from '@pebblestrand/core/items'
import { sourceKinds } from '@pebblestrand/core/sources'
import { Op } from 'sequelize'
import type { Context } from '../platform/context'
import { literally } from '../platform/database/like'
import { AppError } from '../platform/errors'
import { inSteps } from '../platform/http/in-steps'
import { windowOf } from '../platform/http/paging'
import type { Serve } from '../platform/http/serve'
import { refusalOf } from '../platform/outbound/refusal'
import { connectors } from './connector'
import { describeSource } from './describe-source'
import { findSources } from './find-sources'
import { Source } from './models'
import { addSource, refreshSource } from './refresh'
import { pageOfEntries } from './store-items'

export function sourceRoutes(serve: Serve, context: Context): void {
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
    return describeSource(await addSource(context, url, kind))
  })

  serve(routes.sources.list, async ({ query: { q, gives, ...paging } }) => {
    const words = { [Op.iLike]: `%${literally(q)}%` }
    const { rows, count } = await Source.findAndCountAll({
      where: {
        ...(q ? { [Op.or]: [{ title: words }, { url: words }] } : {}),
        ...(gives ? { kind: kindsGiving(gives) } : {}),
      },
      order: [
        ['title', 'ASC'],
        ['id', 'ASC'],
      ],
      ...windowOf(paging),
    })
    return { rows: await Promise.all(rows.map(describeSource)), total: count, page: paging.page, size: paging.size }
  })

  serve(routes.sources.read, async ({ params }) => describeSource(await sourceOf(params.id)))

  serve(routes.sources.items, async ({ params, query }) => {
    const source = await sourceOf(params.id)
    return { ...(await pageOfEntries(source.id, windowOf(query))), ...query }
  })

  serve(routes.sources.change, async ({ params, body }) => {
    const source = await sourceOf(params.id)
    return describeSource(await source.update(body))
  })

  serve(routes.sources.refresh, async ({ params }) => {
    const source = await sourceOf(params.id)
    await refreshSource(context, source.id)
    return describeSource(await source.reload())
  })
}

const kindsGiving = (type: BodyType) =>
  Object.values(sourceKinds).flatMap((kind) => (kind.gives.includes(type) ? kind.id : []))

async function sourceOf(id: string): Promise<Source> {
  const source = await Source.findByPk(id)
  if (!source) throw new AppError('not-found')
  return source
}
