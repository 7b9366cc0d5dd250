import { methodIds } from '@pebblestrand/core/snippet'
import type { FastifyInstance } from 'fastify'
import { z } from 'zod'
import { userOf } from '../accounts/guard'
import { record } from '../activity/record'
import { queueCheck } from '../checks/queue-check'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { IdParams } from '../platform/http/paging'
import { parse } from '../platform/http/parse'
import { describeInstall } from './describe'
import { Install } from './models'
import { planInstall } from './plan-install'
import { FilterValuesQuery, readFilterValues, readIds, readRegister, RegisterQuery } from './register'

const NewInstall = z.object({
  widgetId: z.uuid(),
  pageId: z.uuid(),
  placementId: z.uuid(),
  method: z.enum(methodIds).optional(),
})
const Change = z.object({
  method: z.enum(methodIds).optional(),
  stepsDone: z.array(z.string().max(20)).max(20).optional(),
})

export function installRoutes(app: FastifyInstance, context: Context): void {
  const { db } = context

  app.get('/api/installs', async (request) => readRegister(db, parse(RegisterQuery, request.query)))
  app.get('/api/installs/ids', async (request) => ({ ids: await readIds(db, parse(RegisterQuery, request.query)) }))
  app.get('/api/installs/filters', async (request) => readFilterValues(db, parse(FilterValuesQuery, request.query)))

  app.post('/api/installs', async (request) => {
    const install = await planInstall(context, parse(NewInstall, request.body), userOf(request).id)
    return { id: install.id }
  })

  app.get('/api/installs/:id', async (request) => describeInstall(context, parse(IdParams, request.params).id))

  app.patch('/api/installs/:id', async (request) => {
    const install = await installOf(request.params)
    const change = parse(Change, request.body)
    await db.transaction(async (transaction) => {
      if (change.method && change.method !== install.method)
        await record(
          'method',
          { userId: userOf(request).id, installId: install.id, data: { method: change.method } },
          transaction,
        )
      await install.update(change, { transaction })
    })
    return describeInstall(context, install.id)
  })

  /** Someone says it is pasted; from then on its absence is a fault. */
  app.post('/api/installs/:id/pasted', async (request) => {
    const install = await installOf(request.params)
    if (install.status !== 'planned' && install.status !== 'handed-over') throw new AppError('cannot-now')
    await db.transaction(async (transaction) => {
      await install.update({ status: 'pasted', pastedAt: new Date() }, { transaction })
      await record('pasted', { userId: userOf(request).id, installId: install.id }, transaction)
    })
    return describeInstall(context, install.id)
  })

  /** Undoes the above, where nothing was seen of it yet. */
  app.delete('/api/installs/:id/pasted', async (request) => {
    const install = await installOf(request.params)
    if (!install.pastedAt || install.confirmedAt || install.status === 'retired') throw new AppError('cannot-now')
    await db.transaction(async (transaction) => {
      await install.update({ status: 'planned', pastedAt: null }, { transaction })
      await record('unpasted', { userId: userOf(request).id, installId: install.id }, transaction)
    })
    return describeInstall(context, install.id)
  })

  app.post('/api/installs/:id/checks', async (request) => {
    const install = await installOf(request.params)
    if (install.status === 'retired') throw new AppError('cannot-now')
    return { checkId: await queueCheck(context, install, install.retiring ? 'retire' : 'person', userOf(request).id) }
  })

  /** Meant to be gone: it counts as retired once a check has not found it any more. */
  app.post('/api/installs/:id/retire', async (request) => {
    const install = await installOf(request.params)
    if (install.status === 'retired') throw new AppError('cannot-now')
    await db.transaction(async (transaction) => {
      await install.update({ retiring: true }, { transaction })
      await record('retiring', { userId: userOf(request).id, installId: install.id }, transaction)
    })
    return { checkId: await queueCheck(context, install, 'retire', userOf(request).id) }
  })

  app.delete('/api/installs/:id/retire', async (request) => {
    const install = await installOf(request.params)
    if (!install.retiring || install.status === 'retired') throw new AppError('cannot-now')
    await db.transaction(async (transaction) => {
      await install.update({ retiring: false }, { transaction })
      await record('kept', { userId: userOf(request).id, installId: install.id }, transaction)
    })
    return { checkId: await queueCheck(context, install, 'person', userOf(request).id) }
  })
}

async function installOf(params: unknown): Promise<Install> {
  const install = await Install.findByPk(parse(IdParams, params).id)
  if (!install) throw new AppError('not-found')
  return install
}
