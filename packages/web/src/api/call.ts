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

async function call<T>(method: string, path: string, body?: unknown, signal?: AbortSignal): Promise<T> {
  const answer = await send(method, path, body, { signal })
  const content = (await answer.json().catch(() => null)) as T & Said
  if (answer.ok) return content
  throw errorFrom(answer.status, content)
}

/** Work that takes a while and tells each step on the way: a line of JSON each, the last one with the result or what went wrong. */
export async function postInSteps<Step, T>(path: string, body: unknown, onStep: (step: Step) => void): Promise<T> {
  const answer = await send('POST', path, body, { accept: 'application/x-ndjson' })
  if (!answer.ok || !answer.body) throw errorFrom(answer.status, (await answer.json().catch(() => null)) as Said | null)
  let rest = ''
  for await (const text of textOf(answer.body)) {
    const lines = (rest + text).split('\n')
    rest = lines.pop()!
    for (const line of lines) {
      const told = JSON.parse(line) as Said & { step?: Step; result?: T }
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

export const get = <T>(path: string, signal?: AbortSignal) => call<T>('GET', path, undefined, signal)
export const post = <T>(path: string, body: unknown = {}) => call<T>('POST', path, body)
export const put = <T>(path: string, body: unknown) => call<T>('PUT', path, body)
export const patch = <T>(path: string, body: unknown) => call<T>('PATCH', path, body)
export const remove = <T>(path: string) => call<T>('DELETE', path)

/** A query string of what is set. */
export function query(values: Record<string, string | number | boolean | null | undefined>): string {
  const set = Object.entries(values).filter(([, value]) => value !== '' && value !== null && value !== undefined)
  return set.length ? `?${new URLSearchParams(set.map(([key, value]) => [key, String(value)]))}` : ''
}
