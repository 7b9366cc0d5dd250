import type { Answer, Ask, Route } from '@pebblestrand/contract'
import { ApiError, offline } from './error'

/** The session's token that every change must carry; set by the session store. */
let csrf = ''
export const useToken = (token: string) => {
  csrf = token
}

let onSignedOut: () => void = () => {}
export const whenSignedOut = (handler: () => void) => {
  onSignedOut = handler
}

interface Said {
  error?: { code: string; message: string; remedy: string; issues?: []; data?: unknown }
}

function send(method: string, path: string, body?: unknown, more: RequestInit & { accept?: string } = {}) {
  return fetch(path, {
    method,
    signal: more.signal,
    headers: {
      ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      ...(method === 'GET' ? {} : { 'x-csrf-token': csrf }),
      ...(more.accept ? { accept: more.accept } : {}),
    },
    body: body === undefined ? undefined : JSON.stringify(body),
  }).catch((error: unknown) => {
    throw error instanceof DOMException && error.name === 'AbortError' ? error : offline()
  })
}

function errorFrom(status: number, content: Said | null): ApiError {
  const said = content?.error
  if (said?.code === 'not-signed-in') onSignedOut()
  return new ApiError(
    status,
    said?.code ?? 'unexpected',
    said?.message ?? `The server answers with error ${status}.`,
    said?.remedy ?? 'Try again in a moment.',
    said?.issues,
    said?.data,
  )
}

type Blanks = Record<string, string>

/** A route's path with its blanks filled in, and what is asked in its query. */
function addressOf(route: Route, { params, query: asked }: { params?: unknown; query?: unknown }): string {
  const path = route.path.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent((params as Blanks)[name]!))
  return path + query((asked ?? {}) as Blanks)
}

/** What a route has to be given: of params, query and body those it has. */
export type Needed<R extends Route> = {
  [K in keyof Ask<R> as Ask<R>[K] extends undefined ? never : K]: Ask<R>[K]
}
type Given = { params?: unknown; query?: unknown; body?: unknown }

/** Calls a route of the contract. Throws an ApiError. */
export async function ask<R extends Route>(route: R, asked: Needed<R>, signal?: AbortSignal): Promise<Answer<R>> {
  const given: Given = asked
  const body = route.method === 'GET' || route.method === 'DELETE' ? undefined : (given.body ?? {})
  const answer = await send(route.method, addressOf(route, given), body, { signal })
  const content = (await answer.json().catch(() => null)) as (Answer<R> & Said) | null
  if (answer.ok && content) return content
  signal?.throwIfAborted() // the answer broke off because nobody waits for it
  throw answer.ok ? offline() : errorFrom(answer.status, content)
}

/** The same for work that tells each step on the way: a line of JSON each, the last one with the result or what went wrong. */
export async function askInSteps<R extends Route, Step>(
  route: R,
  asked: Needed<R>,
  onStep: (step: Step) => void,
): Promise<Answer<R>> {
  const given: Given = asked
  const answer = await send(route.method, addressOf(route, given), given.body, { accept: 'application/x-ndjson' })
  if (!answer.ok || !answer.body) throw errorFrom(answer.status, (await answer.json().catch(() => null)) as Said | null)
  let rest = ''
  for await (const text of textOf(answer.body)) {
    const lines = (rest + text).split('\n')
    rest = lines.pop()!
    for (const line of lines) {
      const told = JSON.parse(line) as Said & { step?: Step; result?: Answer<R> }
      if (told.error) throw errorFrom(answer.status, told)
      if (told.result !== undefined) return told.result
      if (told.step !== undefined) onStep(told.step)
    }
  }
  throw offline()
}

async function* textOf(body: ReadableStream<Uint8Array>): AsyncGenerator<string> {
  const reader = body.pipeThrough(new TextDecoderStream() as ReadableWritablePair<string, Uint8Array>).getReader()
  for (;;) {
    const { done, value } = await reader.read().catch(() => ({ done: true, value: undefined }))
    if (done || value === undefined) return
    yield value
  }
}

/** A query string of what is set. */
function query(values: Record<string, string | number | boolean | null | undefined>): string {
  const set = Object.entries(values).filter(([, value]) => value !== '' && value !== null && value !== undefined)
  return set.length ? `?${new URLSearchParams(set.map(([key, value]) => [key, String(value)]))}` : ''
}
