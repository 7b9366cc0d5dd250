import { publicPaths } from '@pebblestrand/core/wire'
import type { FastifyInstance } from 'fastify'
import { hashKey } from '../accounts/instance-secret'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { counterKey } from '../platform/keyed-hash'
import { countOne, limiterIn } from '../platform/limits/limiter'
import { subscriberOf } from '../platform/limits/network'
import type { Subject } from '../subject'
import { PUBLIC_ID } from '../artefacts/public-id'

/** Anyone can send anything here: a little text, and not too often from one address. */
const MOST_BYTES = 4096
const MOST_A_MINUTE = 120
const LIMIT = { points: MOST_A_MINUTE, duration: 60, inMemoryBlockOnConsumed: MOST_A_MINUTE + 1 }

/** Where behaviours tell what happened on a client's page: no session, no cookies, for any origin. */
export function toldRoutes(app: FastifyInstance, context: Context, hearers: NonNullable<Subject['told']>): void {
  const limiter = limiterIn(context.db, 'told', LIMIT)
  app.removeAllContentTypeParsers()
  app.addContentTypeParser('*', { parseAs: 'string', bodyLimit: MOST_BYTES }, (_request, body, done) =>
    done(null, body),
  )

  app.post(publicPaths.told.replace(/\{(\w+)\}/g, ':$1'), { bodyLimit: MOST_BYTES }, async (request, reply) => {
    const { name, id } = request.params as { name: string; id: string }
    const hear = Object.hasOwn(hearers, name) ? hearers[name]! : null
    reply.headers({ 'access-control-allow-origin': '*', 'cache-control': 'no-store' })
    if (!hear || !PUBLIC_ID.test(id)) return reply.code(404).send()
    const subscriber = counterKey(await hashKey(context.config), 'told', subscriberOf(request.ip))
    if (await countOne(limiter, subscriber)) return reply.code(429).header('retry-after', '60').send()
    const userAgent = String(request.headers['user-agent'] ?? '').slice(0, 500)
    await hear(context, { publicId: id, ip: request.ip, userAgent, body: parsed(request.body) })
    return reply.code(204).send()
  })
}

function parsed(body: unknown): unknown {
  if (typeof body !== 'string' || !body) return undefined
  try {
    return JSON.parse(body) as unknown
  } catch {
    throw new AppError('invalid', { message: 'What was told is not JSON.' })
  }
}
