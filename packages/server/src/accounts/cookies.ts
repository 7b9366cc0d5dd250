import type { FastifyReply, FastifyRequest } from 'fastify'
import type { Config } from '../platform/config'

/** What is kept in a browser: who is signed in, and that it was used to sign in before. Neither is to be read by scripts. */
const names = { session: 'pebblestrand_session', device: 'pebblestrand_device' }
export type CookieName = keyof typeof names

const isSecure = (config: Pick<Config, 'origin'>) => config.origin.startsWith('https:')

/** On https with the prefix that binds a cookie to this very host (RFC 6265bis, section 4.1.3.2). */
export const cookieName = (config: Pick<Config, 'origin'>, name: CookieName) =>
  (isSecure(config) ? '__Host-' : '') + names[name]

export const readCookie = (config: Pick<Config, 'origin'>, request: FastifyRequest, name: CookieName) =>
  request.cookies[cookieName(config, name)]

const attributes = (config: Pick<Config, 'origin'>) =>
  ({ path: '/', httpOnly: true, sameSite: 'lax', secure: isSecure(config) }) as const

export function setCookie(
  config: Pick<Config, 'origin'>,
  reply: FastifyReply,
  name: CookieName,
  value: string,
  days: number,
) {
  reply.setCookie(cookieName(config, name), value, { ...attributes(config), maxAge: days * 86_400 })
}

export function clearCookie(config: Pick<Config, 'origin'>, reply: FastifyReply, name: CookieName) {
  reply.clearCookie(cookieName(config, name), attributes(config))
}
