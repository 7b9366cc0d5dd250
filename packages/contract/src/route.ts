import type { z } from 'zod'

/** Who may call a route: anyone at all, any person of the agency, or its owner alone. */
export const callers = ['anyone', 'member', 'owner'] as const
export type May = (typeof callers)[number]

type Schema = z.ZodType | undefined

/** One route as both sides know it. Parameters in `path` stand as `:name`. */
export interface Route<
  P extends Schema = Schema,
  Q extends Schema = Schema,
  B extends Schema = Schema,
  A extends z.ZodType = z.ZodType,
> {
  method: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE'
  path: string
  may: May
  /** One line for the OpenAPI document. */
  summary: string
  params?: P
  query?: Q
  body?: B
  answer: A
  /** Work that takes a while tells these on the way, to who accepts `application/x-ndjson`. */
  step?: z.ZodType
  /** How often one person may call it, in so many seconds: what makes this server ask others. */
  often?: { times: number; seconds: number }
  /** Bytes that its body may have, where that is more than is usual. */
  big?: number
  /** Not JSON but a file to look at or keep. */
  file?: boolean
}

/** Keeps the schemas' own types. */
export const route = <
  A extends z.ZodType,
  P extends Schema = undefined,
  Q extends Schema = undefined,
  B extends Schema = undefined,
>(
  definition: Route<P, Q, B, A>,
) => definition

/** Undefined where the route has no such schema. */
type In<S> = [NonNullable<S>] extends [never] ? undefined : z.input<NonNullable<S>>
type Out<S> = [NonNullable<S>] extends [never] ? undefined : z.output<NonNullable<S>>

/** What a caller gives. */
export interface Ask<R extends Route> {
  params: In<R['params']>
  query: In<R['query']>
  body: In<R['body']>
}
/** What a handler gets, read and checked. */
export interface Asked<R extends Route> {
  params: Out<R['params']>
  query: Out<R['query']>
  body: Out<R['body']>
}
/** What a handler gives: times as dates. */
export type Given<R extends Route> = z.output<R['answer']>
/** What a caller gets over the wire: times as ISO 8601 texts. */
export type Answer<R extends Route> = z.input<R['answer']>
