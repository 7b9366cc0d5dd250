import { signInEvents, type Paging } from '@pebblestrand/contract'
import type { FastifyRequest } from 'fastify'
import { Activity } from '../activity/models'
import { record } from '../activity/record'
import { windowOf } from '../platform/http/paging'

export type SignInEvent = (typeof signInEvents)[number]

interface Origin {
  address: string
  /** As it calls itself, cut short. */
  browser: string
}

export const origin = (request: FastifyRequest): Origin => ({
  address: request.ip,
  browser: String(request.headers['user-agent'] ?? '').slice(0, 200),
})

/** Notes in the activity record what happened at somebody's account, and from where. */
export const noteSignIn = (event: SignInEvent, userId: string, from: Origin) =>
  record(event, { userId, data: { ...from } })

export async function signInsOf(userId: string, paging: Paging) {
  const { rows, count } = await Activity.findAndCountAll({
    where: { userId, verb: [...signInEvents] },
    order: [['at', 'DESC']],
    ...windowOf(paging),
  })
  return {
    rows: rows.map(({ at, verb, data }) => ({
      at,
      event: verb as SignInEvent,
      browser: String(data.browser ?? ''),
      address: String(data.address ?? ''),
    })),
    total: count,
  }
}
