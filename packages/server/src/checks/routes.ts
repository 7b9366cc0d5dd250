import { routes } from '@pebblestrand/contract'
import type { Transaction } from 'sequelize'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { windowOf } from '../platform/http/paging'
import type { Serve } from '../platform/http/serve'
import { checkInfo, findingsOf } from '../findings/describe-check'
import { READINGS_KEPT } from './look-at-page'
import { Check, Look, Mute } from '../findings/models'
import { restate } from './mutes'
import { newestRound, startRound, stopRound } from './rounds'

/** Days for which a finding can be put away: nothing is forgotten for good. */
const LONGEST_MUTE = 366

export function checkRoutes(serve: Serve, context: Context): void {
  serve(routes.checks.read, async ({ params: { id } }) => {
    const check = await Check.findByPk(id)
    if (!check) throw new AppError('not-found')
    return { ...checkInfo(check), findings: await findingsOf(context.db, check.id) }
  })

  serve(routes.checks.ofInstall, async ({ params, query }) => {
    const { rows, count } = await Check.findAndCountAll({
      where: { installId: params.id },
      order: [['askedAt', 'DESC']],
      ...windowOf(query),
    })
    return { rows: rows.map(checkInfo), total: count, page: query.page, size: query.size }
  })

  /** The page as kept, as plain text: nothing of it runs here. */
  serve(routes.checks.look, async ({ params: { id, how }, reply }) => {
    const check = await Check.findByPk(id)
    const look = check?.readingId && (await Look.findOne({ where: { readingId: check.readingId, how } }))
    if (!look)
      throw new AppError('not-found', {
        remedy: `Whole pages are kept for the newest ${READINGS_KEPT} looks at a page.`,
      })
    return reply
      .type('text/plain; charset=utf-8')
      .header('content-disposition', `attachment; filename="${how}.html.txt"`)
      .send(look.html)
  })

  serve(routes.checks.picture, async ({ params: { id, how }, reply }) => {
    const check = await Check.findByPk(id)
    const look = check?.readingId
      ? await Look.findOne({ attributes: ['picture'], where: { readingId: check.readingId, how } })
      : null
    if (!look?.picture) throw new AppError('not-found')
    return reply.type('image/jpeg').header('cache-control', 'private, max-age=86400, immutable').send(look.picture)
  })

  serve(routes.checks.mute, async ({ params: { id, code }, body: { reason, until }, userId }) => {
    const end = new Date(`${until}T00:00:00Z`)
    const most = Date.now() + LONGEST_MUTE * 86_400_000
    if (end.getTime() <= Date.now() || end.getTime() > most) {
      const message = `must be a day from tomorrow on, within ${LONGEST_MUTE} days`
      throw new AppError('invalid', { issues: [{ field: 'until', message }] })
    }
    await changeMutes(id, userId, (transaction) =>
      Mute.upsert(
        { installId: id, code, reason, until: end, mutedBy: userId, mutedAt: new Date() },
        { conflictFields: ['install_id', 'code'] as never, transaction },
      ),
    )
    return {}
  })

  serve(routes.checks.unmute, async ({ params: { id, code }, userId }) => {
    await changeMutes(id, userId, (transaction) => Mute.destroy({ where: { installId: id, code }, transaction }))
    return {}
  })

  async function changeMutes(id: string, userId: string, change: (transaction: Transaction) => Promise<unknown>) {
    await context.db.transaction(async (transaction) => {
      const install = await Install.findByPk(id, { lock: true, transaction })
      if (!install) throw new AppError('not-found')
      await change(transaction)
      await restate(install, userId, transaction)
    })
  }

  serve(routes.checks.newestRound, async () => ({ round: await newestRound() }))
  serve(routes.checks.startRound, async ({ userId }) => ({ id: (await startRound(context, userId)).id }))
  serve(routes.checks.stopRound, async ({ params }) => {
    await stopRound(params.id)
    return { round: await newestRound() }
  })
}
