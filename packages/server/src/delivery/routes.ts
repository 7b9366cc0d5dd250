import { readFileSync } from 'node:fs'
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify'
import { Install } from '../installs/models'
import { assets } from '../platform/assets'
import { doors } from './front'
import type { PayloadMemory, Served } from './memory'
import { FormerId } from './models'
import { forAnyPage, prepare, sendNothing, replyPrepared } from './prepared'
import { stageDocument } from './stage'

const PUBLIC_ID = /^[a-z0-9-]{8,40}$/

/** The workbench's stage: what runs in it can reach nothing of the application. */
const STAGE_POLICY =
  "default-src 'none'; script-src 'self' 'unsafe-inline'; style-src 'unsafe-inline'; img-src http: https: data:; font-src http: https: data:; sandbox allow-scripts allow-popups"

/** What client sites fetch. Public, without cookies, for any origin; nothing here computes. */
export function deliveryRoutes(app: FastifyInstance, memory: PayloadMemory): void {
  // One log line a request would cost more than the answer.
  app.setChildLoggerFactory((logger) => logger)

  const script = prepare(
    readFileSync(assets.runtime),
    'text/javascript; charset=utf-8',
    'public, max-age=300, stale-while-revalidate=86400',
    forAnyPage,
  )
  const stage = prepare(Buffer.from(stageDocument), 'text/html; charset=utf-8', 'no-cache', {
    'content-security-policy': STAGE_POLICY,
  })
  const fonts = new Map(
    Object.entries(assets.fonts).map(([name, file]) => [
      name,
      prepare(readFileSync(file), 'font/woff2', 'public, max-age=31536000, immutable', forAnyPage),
    ]),
  )

  app.get('/strand.js', (request, reply) => replyPrepared(request, reply, script))
  app.get('/stage', (request, reply) => replyPrepared(request, reply, stage))
  app.get('/fonts/:file', (request, reply) => {
    const font = fonts.get((request.params as { file: string }).file)
    if (font) replyPrepared(request, reply, font)
    else sendNothing(reply, 404)
  })

  // A GET for what is remembered has been answered before it comes here (front.ts).
  for (const { before, after, part } of doors)
    app.get(`${before}:name`, (request, reply) => {
      const { name } = request.params as { name: string }
      const id = name.endsWith(after) ? name.slice(0, name.length - after.length) : ''
      return fetchAndServe(memory, id, part, request, reply)
    })
}

async function fetchAndServe(
  memory: PayloadMemory,
  id: string,
  part: keyof Served,
  request: FastifyRequest,
  reply: FastifyReply,
): Promise<FastifyReply> {
  if (!PUBLIC_ID.test(id)) return sendNothing(reply, 404)
  const found = memory.peek(id) ?? (await memory.get(id))
  if (!found) return sendNothing(reply, (await isGone(id)) ? 410 : 404)
  replyPrepared(request, reply, found[part])
  return reply
}

/** Retired or removed: an element that still asks takes itself away. */
const isGone = async (publicId: string) =>
  (await Install.count({ where: { publicId, status: 'retired' } })) > 0 ||
  (await FormerId.count({ where: { publicId } })) > 0
