import { timingSafeEqual } from 'node:crypto'
import type { May } from '@pebblestrand/contract'
import type { FastifyRequest } from 'fastify'
import { AppError } from '../platform/errors'
import type { Admit } from '../platform/http/serve'
import type { Role } from './models'
import type { Config } from '../platform/config'
import { readCookie } from './cookies'
import { resume } from './sessions'

const harmless = new Set(['GET', 'HEAD', 'OPTIONS'])

/** Who is let in where: the roles a route's `may` admits. */
const admits: Record<Exclude<May, 'anyone'>, readonly Role[]> = {
  member: ['owner', 'member'],
  owner: ['owner'],
}

/** A route that not everyone may call wants a session of a role it admits, and for every change the session's token. */
export const admitBy =
  (config: Pick<Config, 'origin'>): Admit =>
  (may) => {
    if (may === 'anyone') return []
    return [
      async (request) => {
        const signedIn = await resume(readCookie(config, request, 'session'))
        if (!signedIn) throw new AppError('not-signed-in')
        const { user, session } = signedIn
        if (!harmless.has(request.method)) requireToken(request, session.csrf)
        if (!admits[may].includes(user.role)) throw new AppError('not-allowed')
        request.caller = { id: user.id, role: user.role, sessionId: session.id }
      },
    ]
  }

export function requireToken(request: FastifyRequest, csrf: string): void {
  const given = Buffer.from(String(request.headers['x-csrf-token'] ?? ''))
  const wanted = Buffer.from(csrf)
  if (given.length !== wanted.length || !timingSafeEqual(given, wanted)) throw new AppError('csrf-missing')
}
