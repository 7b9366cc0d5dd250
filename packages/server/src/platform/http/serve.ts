import type { Answer, Asked, Given, May, Route } from '@pebblestrand/contract'
import type { FastifyInstance, FastifyReply, FastifyRequest, onRequestHookHandler } from 'fastify'
import { unlessDeadlocked } from '../database/deadlock'
import { AppError } from '../errors'

/** Who calls, as far as a route needs to know. */
export interface Caller {
  id: string
  role: string
  sessionId: string
}

declare module 'fastify' {
  interface FastifyRequest {
    /** Set by the guard of a route that not everyone may call. */
    caller: Caller | null
  }
}

/** What a handler gets beside what was asked. */
interface Around {
  request: FastifyRequest
  reply: FastifyReply
  /** Id of who calls; throws where the route is open and nobody is signed in. */
  userId: string
}

export type Handler<R extends Route> = (
  asked: Asked<R> & Around,
) => Given<R> | FastifyReply | Promise<Given<R> | FastifyReply>

/** Who has not signed in has little to say; bytes. */
const OPEN_BODY = 4096

/** Registers one route of the contract with what answers it. */
export type Serve = <R extends Route>(route: R, handler: Handler<R>) => void

/** Lets in who may, and throws otherwise. */
export type Admit = (may: May) => onRequestHookHandler[]

/** Counts a call of a route that may not be called too often, and throws when it is. */
export type Count = (route: Route, userId: string) => Promise<void>

/** Routes of the contract on a server: admitted, read through their schemas, answered through their schema. */
export const serveOn =
  (app: FastifyInstance, admit: Admit, count: Count): Serve =>
  (route, handler) => {
    app.route({
      method: route.method,
      url: route.path,
      onRequest: admit(route.may),
      ...(route.may === 'anyone' ? { bodyLimit: OPEN_BODY } : route.big ? { bodyLimit: route.big } : {}),
      schema: {
        summary: route.summary,
        ...(route.params ? { params: route.params } : {}),
        ...(route.query ? { querystring: route.query } : {}),
        ...(route.body ? { body: route.body } : {}),
        ...(route.file ? {} : { response: { 200: route.answer } }),
      },
      handler: async (request, reply) => {
        if (route.often && request.caller) await count(route, request.caller.id)
        const asked = {
          params: request.params,
          query: request.query,
          body: request.body,
          request,
          reply,
          get userId() {
            if (!request.caller) throw new AppError('not-signed-in')
            return request.caller.id
          },
        }
        return unlessDeadlocked(() => handler(asked as never)) as Promise<Answer<typeof route>>
      },
    })
  }
