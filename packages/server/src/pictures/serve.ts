import { pathTo } from '@pebblestrand/core/wire'
import type { FastifyInstance } from 'fastify'
import { LRUCache } from 'lru-cache'
import { forAnyPage, prepare, replyPrepared, sendLater, sendNothing, type Prepared } from '../artefacts/prepared'
import { PictureCopy } from './models'

const TYPES: Record<string, string> = { webp: 'image/webp', jpg: 'image/jpeg' }
/** Bytes that are kept at hand. */
const MEMORY = 64 * 1024 * 1024

/** Our copies of pictures. The address holds the hash of what was fetched, so that one never changes. */
export function pictureRoutes(app: FastifyInstance): void {
  const memory = new LRUCache<string, Prepared>({ maxSize: MEMORY, sizeCalculation: ({ size }) => size + 1 })
  app.get(`${pathTo('picture')}:name`, async (request, reply) => {
    const { name } = request.params as { name: string }
    const parts = /^([\w-]{32})-(\d{1,4})\.(webp|jpg)$/.exec(name)
    if (!parts) return sendNothing(reply, 404)
    try {
      const found = memory.get(name) ?? (await fromStore(parts[1]!, Number(parts[2]), parts[3]!))
      if (!found) return sendNothing(reply, 404)
      memory.set(name, found)
      replyPrepared(request, reply, found)
    } catch (error) {
      request.log.error(error)
      return sendLater(reply)
    }
    return reply
  })
}

async function fromStore(contentHash: string, width: number, format: string): Promise<Prepared | null> {
  const copy = await PictureCopy.findOne({ where: { contentHash, width, format } })
  return copy && prepare(copy.bytes, TYPES[format]!, 'public, max-age=31536000, immutable', forAnyPage)
}
