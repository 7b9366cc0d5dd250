import type { FastifyInstance } from 'fastify'

/** Trouble that is switched on: nothing answers, or so many requests of one caller in so many seconds are too many. */
export interface Trouble {
  outage: boolean
  quota: { requests: number; seconds: number }
}

/** Answers in a service's place where the caller asks its API too often, or nothing answers at all. */
export function limitedRoutes(app: FastifyInstance, state: () => Readonly<Trouble>): void {
  const asked = new Map<string, number[]>()
  app.addHook('onRequest', async (request, reply) => {
    const { outage, quota } = state()
    if (outage) return reply.code(503).send({ error: 'down' })
    if (!request.url.startsWith('/api/')) return
    const caller = request.headers.authorization ?? 'anyone'
    const now = Date.now()
    const recent = (asked.get(caller) ?? []).filter((at) => at > now - quota.seconds * 1000)
    if (recent.length >= quota.requests) {
      const wait = Math.max(1, Math.ceil((recent[0]! + quota.seconds * 1000 - now) / 1000))
      return reply.header('retry-after', String(wait)).code(429).send({ error: 'too-many' })
    }
    asked.set(caller, [...recent, now])
  })
}
