import { createHash } from 'node:crypto'
import type { IncomingMessage, ServerResponse } from 'node:http'
import type { FastifyReply, FastifyRequest } from 'fastify'

/** Bytes that are served as they are, with every header ready: a request only compares an ETag. */
export interface Prepared {
  /** Small ones as a string of one character a byte: Node sends it in one piece with the headers, a buffer in two. */
  content: string | Buffer
  size: number
  etag: string
  headers: Record<string, string>
  /** For who has the bytes already. */
  unchanged: Record<string, string>
}

/** A script, frame or font may be used by any page, isolated ones too. */
export const forAnyPage = { 'cross-origin-resource-policy': 'cross-origin' }

export const etagOf = (bytes: Buffer) => `"${createHash('sha256').update(bytes).digest('base64url').slice(0, 22)}"`

export function prepare(
  bytes: Buffer,
  type: string,
  cache: string,
  more: Record<string, string> = {},
  etag = etagOf(bytes),
): Prepared {
  const unchanged = {
    etag,
    'cache-control': cache,
    'access-control-allow-origin': '*',
    'x-content-type-options': 'nosniff',
    ...more,
  }
  return {
    content: bytes.length < ONE_PIECE ? bytes.toString('latin1') : bytes,
    size: bytes.length,
    etag,
    unchanged,
    headers: { 'content-type': type, 'content-length': String(bytes.length), ...unchanged },
  }
}

const ONE_PIECE = 32 * 1024

/** The same bytes with one more header. */
export const marked = (prepared: Prepared, more: Record<string, string>): Prepared => ({
  ...prepared,
  headers: { ...prepared.headers, ...more },
  unchanged: { ...prepared.unchanged, ...more },
})

/** Whether who asks has the bytes already: one of a list of tags, weak ones too, or any (RFC 9110 section 13.1.2). */
function isKnown(ifNoneMatch: string | undefined, etag: string): boolean {
  if (!ifNoneMatch) return false
  if (ifNoneMatch === etag || ifNoneMatch === '*') return true
  return ifNoneMatch.split(',').some((tag) => tag.trim().replace(/^W\//, '') === etag)
}

/** Written to the socket as prepared. */
export function sendPrepared(request: IncomingMessage, response: ServerResponse, prepared: Prepared): void {
  if (isKnown(request.headers['if-none-match'], prepared.etag)) response.writeHead(304, prepared.unchanged).end()
  else response.writeHead(200, prepared.headers).end(request.method === 'HEAD' ? '' : prepared.content, 'latin1')
}

/** The same from a route: past the framework's own handling of replies. Returns nothing, since a returned reply would be waited for. */
export function replyPrepared(request: FastifyRequest, reply: FastifyReply, prepared: Prepared): void {
  reply.hijack()
  sendPrepared(request.raw, reply.raw, prepared)
}

/** No answer for the moment: the database is away, and the bytes were never asked for. */
export const sendLater = (reply: FastifyReply) =>
  reply
    .code(503)
    .headers({ 'access-control-allow-origin': '*', 'cache-control': 'no-store', 'retry-after': '10' })
    .type('text/plain; charset=utf-8')
    .send('Not now.')

export const sendNothing = (reply: FastifyReply, status: 404 | 410) =>
  reply
    .code(status)
    .headers({
      'access-control-allow-origin': '*',
      'cache-control': 'public, max-age=60',
      'content-type': 'text/plain; charset=utf-8',
    })
    .send('Not here.')
