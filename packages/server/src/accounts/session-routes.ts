import { routes } from '@pebblestrand/contract'
import { AppError } from '../platform/errors'
import { windowOf } from '../platform/http/paging'
import type { Serve } from '../platform/http/serve'
import { endOne, endOthers, livingOf } from './sessions'
import { signInsOf } from './sign-ins'

/** Where one is signed in, and what happened at one's account. */
export function sessionRoutes(serve: Serve): void {
  serve(routes.accounts.sessions, async ({ request, userId, query }) => {
    const { limit, offset } = windowOf(query)
    const { rows, count } = await livingOf(userId, limit, offset)
    return {
      rows: rows.map(({ id, browser, createdAt, seenAt, endsAt }) => ({
        id,
        own: id === request.caller!.sessionId,
        browser,
        createdAt,
        seenAt,
        endsAt,
      })),
      total: count,
      ...query,
    }
  })

  serve(routes.accounts.endSession, async ({ userId, params }) => {
    const ended = await endOne(userId, params.id)
    if (!ended) throw new AppError('not-found', { remedy: 'It may have ended already; reload the list.' })
    return { ended }
  })

  serve(routes.accounts.endOthers, async ({ request, userId }) => ({
    ended: await endOthers(userId, request.caller!.sessionId),
  }))

  serve(routes.accounts.signIns, async ({ userId, query }) => ({ ...(await signInsOf(userId, query)), ...query }))
}
