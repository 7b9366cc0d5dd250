import type { FastifyInstance } from 'fastify'
import { Op } from 'sequelize'
import { z } from 'zod'
import type { Context } from '../platform/context'
import { literally } from '../platform/database/like'
import { AppError } from '../platform/errors'
import { line, wholeNumber } from '../platform/http/fields'
import { inSteps } from '../platform/http/in-steps'
import { IdParams, Paging, windowOf } from '../platform/http/paging'
import { parse } from '../platform/http/parse'
import { refusalOf } from '../platform/outbound/refusal'
import { findFeeds, type Tried } from './find'
import { ItemRow, Source } from './models'
import { addSource, refreshSource } from './refresh'
import { itemsOf } from './store-items'

const Address = z.object({ address: line(2000) })
const NewSource = z.object({ url: z.url('must be the address of a feed').max(2000, 'must have 2000 letters or fewer') })
const Listing = Paging.extend({ q: z.string().trim().max(200).default('') })
const Interval = z.object({
  intervalMinutes: wholeNumber(5, 10_080),
})

export function sourceRoutes(app: FastifyInstance, context: Context): void {
  const openings = { localhostNames: context.config.demo }

  app.post('/api/sources/find', async (request, reply) => {
    const { address } = parse(Address, request.body)
    return inSteps<Tried, unknown>(request, reply, (tell) => findFeeds(context, address, tell))
  })

  app.post('/api/sources', async (request) => {
    const { url } = parse(NewSource, request.body)
    const refusal = refusalOf(url, openings)
    if (refusal)
      throw new AppError('address-refused', { message: refusal, issues: [{ field: 'url', message: refusal }] })
    return describe(await addSource(context, url))
  })

  app.get('/api/sources', async (request) => {
    const { q, ...paging } = parse(Listing, request.query)
    const words = { [Op.iLike]: `%${literally(q)}%` }
    const { rows, count } = await Source.findAndCountAll({
      where: q ? { [Op.or]: [{ title: words }, { url: words }] } : {},
      order: [
        ['title', 'ASC'],
        ['id', 'ASC'],
      ],
      ...windowOf(paging),
    })
    return { rows: await Promise.all(rows.map(describe)), total: count, page: paging.page, size: paging.size }
  })

  app.get('/api/sources/:id', async (request) => describe(await sourceOf(request.params)))

  app.get('/api/sources/:id/items', async (request) => {
    const source = await sourceOf(request.params)
    return { items: await itemsOf([source.id]) }
  })

  app.patch('/api/sources/:id', async (request) => {
    const source = await sourceOf(request.params)
    return describe(await source.update(parse(Interval, request.body)))
  })

  app.post('/api/sources/:id/refresh', async (request) => {
    const source = await sourceOf(request.params)
    await refreshSource(context, source.id)
    return describe(await source.reload())
  })
}

async function sourceOf(params: unknown): Promise<Source> {
  const source = await Source.findByPk(parse(IdParams, params).id)
  if (!source) throw new AppError('not-found')
  return source
}

async function describe(source: Source) {
  const { id, url, title, link, format, intervalMinutes, fetchedAt, okAt, nextFetchAt, failures, problem } = source
  return {
    id,
    url,
    title,
    link,
    format,
    intervalMinutes,
    fetchedAt,
    okAt,
    nextFetchAt,
    failures,
    problem,
    count: await ItemRow.count({ where: { sourceId: id } }),
  }
}
