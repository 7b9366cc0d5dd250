import { routes } from '@pebblestrand/contract'
import { record } from '../activity/record'
import { recomputeAfter, recomputeWidget } from '../artefacts/queue-recompute'
import { Release } from '../widgets/models'
import { queueCheck } from '../findings/queue-check'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import type { Serve } from '../platform/http/serve'
import { keepSiteListOf } from '../artefacts/site-list'
import { ensureTag } from './plan-tag'
import { Page } from '../sites/models'
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
    const { method, snippetOptions } = install
    // A picture of it is drawn from when it is first wanted: its text says what stands in it.
    const isPictured = change.method === 'picture' && method !== 'picture'
    const pending = await db.transaction(async (transaction) => {
      if (change.method && change.method !== install.method)
        await record('method', { userId, installId: install.id, data: { method: change.method } }, transaction)
      await install.update(change, { transaction })
      if (install.method !== method) {
        if (install.method === 'tag') await ensureTag(context, await siteOf(install), userId, transaction)
        await keepSiteListOf(context, install, transaction)
      }
      // What the page behind its address says to search engines is part of its bytes.
      const isIndexed = change.snippetOptions
        ? Boolean(change.snippetOptions.indexed) !== Boolean(snippetOptions.indexed)
        : false
      const own = { installIds: [install.id] }
      if (isPictured) return recomputeAfter(context, install.widgetId, own, transaction)
      if (isIndexed) await recomputeWidget(context, install.widgetId, transaction, own)
      return null
    })
    if (pending) await context.renderNow(context, pending)
    return describeInstall(context, install.id)
  })

  serve(routes.installs.hold, async ({ params, body: { release }, userId }) => {
    const install = await installOf(params.id)
    if (install.status === 'retired') throw new AppError('cannot-now')
    const { widgetId } = install
    if (release !== null && !(await Release.count({ where: { widgetId, number: release } })))
      throw new AppError('invalid', { issues: [{ field: 'release', message: 'is no release of this widget' }] })
    await db.transaction(async (transaction) => {
      await install.update({ heldRelease: release }, { transaction })
      const noted = { userId, installId: install.id, data: { release } }
      await record(release === null ? 'followed' : 'held', noted, transaction)
      await recomputeWidget(context, widgetId, transaction)
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
      await keepSiteListOf(context, install, transaction)
      await record('retiring', { userId, installId: install.id }, transaction)
    })
    return { checkId: await queueCheck(context, install, 'retire', userId) }
  })

  serve(routes.installs.keep, async ({ params, userId }) => {
    const install = await installOf(params.id)
    if (!install.retiring || install.status === 'retired') throw new AppError('cannot-now')
    await db.transaction(async (transaction) => {
      await install.update({ retiring: false }, { transaction })
      await keepSiteListOf(context, install, transaction)
      await record('kept', { userId, installId: install.id }, transaction)
    })
    return { checkId: await queueCheck(context, install, 'person', userId) }
  })
}

const siteOf = async ({ pageId }: Install) => (await Page.findByPk(pageId, { attributes: ['siteId'] }))!.siteId

async function installOf(id: string): Promise<Install> {
  const install = await Install.findByPk(id)
  if (!install) throw new AppError('not-found')
  return install
}
