import { timingSafeEqual } from 'node:crypto'
import type { FastifyInstance, FastifyRequest } from 'fastify'
import { AppError } from '../platform/errors'
import type { User } from './models'
import { COOKIE, resume, type SignedIn } from './sessions'

declare module 'fastify' {
  interface FastifyRequest {
    signedIn: SignedIn | null
  }
}

const harmless = new Set(['GET', 'HEAD', 'OPTIONS'])

/** Everything registered in `app` is for signed-in people, and every change must carry the session's token. */
export function guard(app: FastifyInstance): void {
  app.addHook('onRequest', async (request) => {
    request.signedIn = await resume(request.cookies[COOKIE])
    if (!request.signedIn) throw new AppError('not-signed-in')
    if (!harmless.has(request.method)) requireToken(request, request.signedIn.csrf)
  })
}

export function requireToken(request: FastifyRequest, csrf: string): void {
  const given = Buffer.from(String(request.headers['x-csrf-token'] ?? ''))
  const wanted = Buffer.from(csrf)
  if (given.length !== wanted.length || !timingSafeEqual(given, wanted)) throw new AppError('csrf-missing')
}

export function userOf(request: FastifyRequest): User {
  if (!request.signedIn) throw new AppError('not-signed-in')
  return request.signedIn.user
}
