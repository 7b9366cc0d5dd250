import { routes } from '@pebblestrand/contract'
import type { Context } from '../../platform/context'
import { AppError } from '../../platform/errors'
import type { Serve } from '../../platform/http/serve'
import { requireReachable } from '../reachable'
import { Site } from '../models'
import { SiteReading } from './models'
import { queueReading } from './queue-reading'

export function siteReadingRoutes(serve: Serve, context: Context): void {
  serve(routes.siteReadings.start, async ({ body: { address, siteId }, userId }) => {
    requireReachable(context.config, address, 'address')
    if (siteId && !(await Site.count({ where: { id: siteId } }))) throw new AppError('not-found')
    return { id: await queueReading(context, { address, siteId: siteId ?? null, askedBy: userId }) }
  })

  serve(routes.siteReadings.read, async ({ params }) => ({ reading: await described(params.id) }))

  serve(routes.siteReadings.stop, async ({ params }) => {
    await SiteReading.update(
      { state: 'stopped', finishedAt: new Date() },
      { where: { id: params.id, state: ['queued', 'running'] } },
    )
    return { reading: await described(params.id) }
  })

  serve(routes.siteReadings.picture, async ({ params, reply }) => {
    const reading = await SiteReading.findByPk(params.id, { attributes: ['picture'] })
    if (!reading?.picture) throw new AppError('not-found')
    return reply.type('image/jpeg').header('cache-control', 'private, max-age=86400, immutable').send(reading.picture)
  })
}

async function described(id: string) {
  const reading = await SiteReading.findByPk(id, { attributes: { exclude: ['picture', 'address', 'askedBy'] } })
  if (!reading) throw new AppError('not-found')
  return reading
}
