import { routes } from '@pebblestrand/contract'
import { record } from '../activity/record'
import { queueCheck } from '../checks/queue-check'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import type { Serve } from '../platform/http/serve'
import { describeInstall } from './describe'
import { Install } from './models'
import { planInstall } from './plan-install'
import { readFilterValues, readIds, readRegister } from './register'

export function installRoutes(serve: Serve, context: Context): void {
  const { db } = context

  serve(routes.installs.list, ({ query }) => readRegister(db, query))
  serve(routes.installs.ids, async ({ query }) => ({ ids: await readIds(db, query) }))
  serve(routes.installs.filters, ({ query }) => readFilterValues(db, query.siteId))

  serve(routes.installs.plan, async ({ body, userId }) => ({ id: (await planInstall(context, body, userId)).id }))

  serve(routes.installs.read, ({ params }) => describeInstall(context, params.id))

  serve(routes.installs.change, async ({ params, body: change, userId }) => {
    const install = await installOf(params.id)
    await db.transaction(async (transaction) => {
      if (change.method && change.method !== install.method)
        await record('method', { userId, installId: install.id, data: { method: change.method } }, transaction)
      await install.update(change, { transaction })
    })
    return describeInstall(context, install.id)
  })

  /** From then on its absence is a fault. */
  serve(routes.installs.pasted, async ({ params, userId }) => {
    const install = await installOf(params.id)
    if (install.status !== 'planned' && install.status !== 'handed-over') throw new AppError('cannot-now')
    await db.transaction(async (transaction) => {
      await install.update({ status: 'pasted', pastedAt: new Date() }, { transaction })
      await record('pasted', { userId, installId: install.id }, transaction)
    })
    return describeInstall(context, install.id)
  })

  serve(routes.installs.unpasted, async ({ params, userId }) => {
    const install = await installOf(params.id)
    if (!install.pastedAt || install.confirmedAt || install.status === 'retired') throw new AppError('cannot-now')
    await db.transaction(async (transaction) => {
      await install.update({ status: 'planned', pastedAt: null }, { transaction })
      await record('unpasted', { userId, installId: install.id }, transaction)
    })
    return describeInstall(context, install.id)
  })

  serve(routes.installs.check, async ({ params, userId }) => {
    const install = await installOf(params.id)
    if (install.status === 'retired') throw new AppError('cannot-now')
    return { checkId: await queueCheck(context, install, install.retiring ? 'retire' : 'person', userId) }
  })

  /** It counts as retired once a check has not found it any more. */
  serve(routes.installs.retire, async ({ params, userId }) => {
    const install = await installOf(params.id)
    if (install.status === 'retired') throw new AppError('cannot-now')
    await db.transaction(async (transaction) => {
      await install.update({ retiring: true }, { transaction })
      await record('retiring', { userId, installId: install.id }, transaction)
    })
    return { checkId: await queueCheck(context, install, 'retire', userId) }
  })

  serve(routes.installs.keep, async ({ params, userId }) => {
    const install = await installOf(params.id)
    if (!install.retiring || install.status === 'retired') throw new AppError('cannot-now')
    await db.transaction(async (transaction) => {
      await install.update({ retiring: false }, { transaction })
      await record('kept', { userId, installId: install.id }, transaction)
    })
    return { checkId: await queueCheck(context, install, 'person', userId) }
  })
}

async function installOf(id: string): Promise<Install> {
  const install = await Install.findByPk(id)
  if (!install) throw new AppError('not-found')
  return install
}
