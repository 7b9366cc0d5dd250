import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { partForm } from '@pebblestrand/core/artefacts'
import { pathTo, publicPaths } from '@pebblestrand/core/wire'
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify'
import { Install } from '../installs/models'
import { assets } from '../platform/assets'
import { artefactPaths } from './front'
import type { ArtefactMemory } from '../artefacts/memory'
import type { Config } from '../platform/config'
import { FormerId } from '../artefacts/models'
import { oEmbedRoute } from './oembed'
import { PUBLIC_ID } from '../artefacts/public-id'
import { forAnyPage, prepare, replyPrepared, sendLater, sendNothing } from '../artefacts/prepared'
import { scriptNow, scriptOf } from '../artefacts/script-versions'
import { STAGE_SCRIPT, stageDocument } from './stage'

/** The workbench's stage: what runs in it can reach nothing of the application. */
const STAGE_POLICY =
  "default-src 'none'; script-src 'self'; style-src 'unsafe-inline'; img-src http: https: data:; font-src http: https: data:; frame-src http: https:; sandbox allow-scripts allow-popups"

/** What client sites fetch. Public, without cookies, for any origin; nothing here computes. */
export function deliveryRoutes(
  app: FastifyInstance,
  memory: ArtefactMemory,
  config: Pick<Config, 'origin' | 'countryHeader'>,
): void {
  oEmbedRoute(app, config)
  // One log line a request would cost more than the answer.
  app.setChildLoggerFactory((logger) => logger)

  const runtime = (file: string) =>
    prepare(readFileSync(file), JAVASCRIPT, 'public, max-age=300, stale-while-revalidate=86400', forAnyPage)
  const script = runtime(assets.runtime)
  const stageScript = runtime(assets.stage)
  const behaviours = new Map(
    readdirSync(assets.behaviours).map((file) => [
      pathTo('behaviour', file.replace(/\.js$/, '')),
      runtime(join(assets.behaviours, file)),
    ]),
  )
  const stage = prepare(Buffer.from(stageDocument('')), 'text/html; charset=utf-8', 'no-cache', {
    'content-security-policy': STAGE_POLICY,
  })
  const fonts = new Map(
    Object.entries(assets.fonts).map(([name, file]) => [
      name,
      prepare(readFileSync(file), 'font/woff2', 'public, max-age=31536000, immutable', forAnyPage),
    ]),
  )

  app.get(pathTo('script'), (request, reply) => replyPrepared(request, reply, script))
  for (const [path, bytes] of behaviours) app.get(path, (request, reply) => replyPrepared(request, reply, bytes))
  scriptVersionRoutes(app)
  app.get(STAGE_SCRIPT, (request, reply) => replyPrepared(request, reply, stageScript))
  app.get('/stage', (request, reply) => replyPrepared(request, reply, stage))
  // Kept by nobody: it is of one visitor, and is told to them alone.
  app.get(publicPaths.country, (request, reply) =>
    reply
      .headers({ ...forAnyPage, 'cache-control': 'private, no-store' })
      .send({ country: countryIn(config.countryHeader && request.headers[config.countryHeader]) }),
  )
  app.get('/fonts/:file', (request, reply) => {
    const font = fonts.get((request.params as { file: string }).file)
    if (font) replyPrepared(request, reply, font)
    else sendNothing(reply, 404)
  })

  // A GET for what is remembered has been answered before it comes here (front.ts).
  for (const { before, after, form } of artefactPaths)
    app.get(`${before}:name`, (request, reply) => {
      const { name } = request.params as { name: string }
      const id = name.endsWith(after) ? name.slice(0, name.length - after.length) : ''
      return fetchAndServe(memory, id, form, request, reply)
    })
  app.get(publicPaths.part.replace('{id}', ':id').replace('{name}.json', ':name'), (request, reply) => {
    const { id, name } = request.params as { id: string; name: string }
    const number = PART.exec(name)?.[1]
    return number ? fetchAndServe(memory, id, partForm(Number(number)), request, reply) : sendNothing(reply, 404)
  })
}

/** A country's code (ISO 3166-1 alpha-2) in a header; null where there is none. Proxies say XX or T1 for what they do not know. */
const countryIn = (header: string | string[] | null | undefined): string | null => {
  const code = String(header ?? '').toUpperCase()
  return /^[A-Z]{2}$/.test(code) && code !== 'XX' ? code : null
}

/** The forms of later parts are told apart by their number. */
const PART = /^([1-9]\d{0,2})\.json$/

const JAVASCRIPT = 'text/javascript; charset=utf-8'

/** The script by its version, for snippets that are pinned to one; and which version is the newest. */
function scriptVersionRoutes(app: FastifyInstance): void {
  const { version, integrity } = scriptNow
  const newest = prepare(
    Buffer.from(JSON.stringify({ version, src: pathTo('scriptVersion', version), integrity })),
    'application/json; charset=utf-8',
    'public, max-age=300',
  )
  app.get(pathTo('scripts'), (request, reply) => replyPrepared(request, reply, newest))
  app.get('/strand/:name', async (request, reply) => {
    const { name } = request.params as { name: string }
    const bytes = /^[0-9a-f]{16}\.js$/.test(name) ? await scriptOf(name.slice(0, 16)) : null
    if (!bytes) return sendNothing(reply, 404)
    replyPrepared(request, reply, prepare(bytes, JAVASCRIPT, 'public, max-age=31536000, immutable', forAnyPage))
    return reply
  })
}

async function fetchAndServe(
  memory: ArtefactMemory,
  id: string,
  form: string,
  request: FastifyRequest,
  reply: FastifyReply,
): Promise<FastifyReply> {
  if (!PUBLIC_ID.test(id)) return sendNothing(reply, 404)
  try {
    const found = memory.peek(id, form) ?? (await memory.get(id, form)) ?? (await beforePages(memory, id, form))
    if (!found) return sendNothing(reply, (await isGone(id)) ? 410 : 404)
    replyPrepared(request, reply, found)
  } catch (error) {
    request.log.error(error)
    return sendLater(reply)
  }
  return reply
}

/** An install that was not drawn since pages of their own are made has the page for a frame, which its address showed until then. */
const beforePages = async (memory: ArtefactMemory, id: string, form: string) =>
  form === 'page' ? memory.get(id, 'frame') : null

/** Retired or removed: an element that still asks takes itself away. */
const isGone = async (publicId: string) =>
  (await Install.count({ where: { publicId, status: 'retired' } })) > 0 ||
  (await FormerId.count({ where: { publicId } })) > 0
