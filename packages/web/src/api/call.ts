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

async function call<T>(method: string, path: string, body?: unknown, signal?: AbortSignal): Promise<T> {
  const answer = await fetch(path, {
    method,
    signal,
    headers: {
      ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      ...(method === 'GET' ? {} : { 'x-csrf-token': csrf }),
    },
    body: body === undefined ? undefined : JSON.stringify(body),
  }).catch((error: unknown) => {
    throw error instanceof DOMException && error.name === 'AbortError' ? error : offline()
  })
  const content = await answer.json().catch(() => null)
  if (answer.ok) return content as T
  const said = (
    content as { error?: { code: string; message: string; remedy: string; issues?: []; data?: unknown } } | null
  )?.error
  if (said?.code === 'not-signed-in') onSignedOut()
  throw new ApiError(
    answer.status,
    said?.code ?? 'unexpected',
    said?.message ?? `The server answers with error ${answer.status}.`,
    said?.remedy ?? 'Try again in a moment.',
    said?.issues,
    said?.data,
  )
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
