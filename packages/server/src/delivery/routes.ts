import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify'
import { Install } from '../installs/models'
import { assets } from '../platform/assets'
import type { PayloadMemory } from './memory'
import { stageDocument } from './stage'

/** A payload may be a minute old at a visitor's, then it is asked about again, while the old one still shows. */
const CACHE = 'public, max-age=60, stale-while-revalidate=600'
/** The script changes with a version of ours only. */
const SCRIPT_CACHE = 'public, max-age=300, stale-while-revalidate=86400'

interface Kept {
  bytes: Buffer
  etag: string
}

const PUBLIC_ID = /^[a-z0-9-]{8,40}$/

/** What client sites fetch. Public, without cookies, for any origin; nothing here computes. */
export function deliveryRoutes(app: FastifyInstance, memory: PayloadMemory): void {
  const script = keep(readFileSync(assets.runtime))
  const fonts = new Map(Object.entries(assets.fonts).map(([name, file]) => [name, keep(readFileSync(file))]))

  app.addHook('onSend', async (_request, reply) => {
    reply
      .header('access-control-allow-origin', '*')
      .header('cross-origin-resource-policy', 'cross-origin')
      .header('x-content-type-options', 'nosniff')
  })

  const send = (request: FastifyRequest, reply: FastifyReply, kept: Kept, type: string, cache: string) => {
    reply.header('etag', kept.etag).header('cache-control', cache)
    if (request.headers['if-none-match'] === kept.etag) return reply.code(304).send()
    return reply.header('content-type', type).send(kept.bytes)
  }

  const served = async (request: FastifyRequest, reply: FastifyReply) => {
    const { id } = request.params as { id: string }
    const found = PUBLIC_ID.test(id) ? await memory.get(id) : null
    if (!found) reply.code((await isRetired(id)) ? 410 : 404).header('cache-control', 'public, max-age=60')
    return found
  }

  app.get('/strand.js', (request, reply) =>
    send(request, reply, script, 'text/javascript; charset=utf-8', SCRIPT_CACHE),
  )

  app.get('/p/:id.json', async (request, reply) => {
    const found = await served(request, reply)
    if (!found) return reply.type('application/json').send('{}')
    return send(request, reply, { bytes: found.body, etag: found.bodyEtag }, 'application/json; charset=utf-8', CACHE)
  })

  for (const path of ['/f/:id', '/v/:id']) {
    app.get(path, async (request, reply) => {
      reply.header(
        'content-security-policy',
        "default-src 'none'; style-src 'unsafe-inline'; img-src http: https:; font-src http: https:; base-uri 'none'; form-action 'none'",
      )
      const found = await served(request, reply)
      if (!found) return reply.type('text/html; charset=utf-8').send('<!doctype html><title>Not here</title>')
      return send(request, reply, { bytes: found.frame, etag: found.frameEtag }, 'text/html; charset=utf-8', CACHE)
    })
  }

  app.get('/fonts/:file', (request, reply) => {
    const font = fonts.get((request.params as { file: string }).file)
    return font
      ? send(request, reply, font, 'font/woff2', 'public, max-age=31536000, immutable')
      : reply.code(404).send()
  })

  app.get('/stage', (_request, reply) =>
    reply
      .type('text/html; charset=utf-8')
      .header(
        'content-security-policy',
        "default-src 'none'; script-src 'self' 'unsafe-inline'; style-src 'unsafe-inline'; img-src http: https:; font-src http: https: data:; sandbox allow-scripts allow-popups",
      )
      .header('cache-control', 'no-cache')
      .send(stageDocument),
  )
}

const isRetired = async (id: string) =>
  PUBLIC_ID.test(id) && (await Install.count({ where: { publicId: id, status: 'retired' } })) > 0

const keep = (bytes: Buffer): Kept => ({
  bytes,
  etag: `"${createHash('sha256').update(bytes).digest('base64url').slice(0, 22)}"`,
})
