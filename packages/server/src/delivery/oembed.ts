import { nameInPath, oEmbedOf, oEmbedXml } from '@pebblestrand/core/methods'
import { pathTo } from '@pebblestrand/core/wire'
import type { FastifyInstance, FastifyReply } from 'fastify'
import { z } from 'zod'
import { agencyName } from '../accounts/setup'
import type { Config } from '../platform/config'
import { Artefact } from '../artefacts/models'
import { PUBLIC_ID } from '../artefacts/public-id'

/** What a consumer asks (oEmbed 1.0, section 2.2). */
const Asked = z.object({
  url: z.string().max(2000),
  format: z.string().max(20).default('json'),
  maxwidth: z.coerce.number().int().min(1).max(10_000).optional().catch(undefined),
  maxheight: z.coerce.number().int().min(1).max(10_000).optional().catch(undefined),
})

const types: Record<string, string> = { json: 'application/json; charset=utf-8', xml: 'text/xml; charset=utf-8' }

/** Answers editors that expand a widget's address: 404 for what is none, 501 for another format (section 2.3.4). */
export function oEmbedRoute(app: FastifyInstance, { origin }: Pick<Config, 'origin'>): void {
  app.get(pathTo('oembed'), async (request, reply) => {
    const asked = Asked.safeParse(request.query)
    reply.header('access-control-allow-origin', '*').header('x-content-type-options', 'nosniff')
    if (!asked.success) return nothing(reply, 400, 'The parameter url is missing.')
    const { url, format, maxwidth: maxWidth, maxheight: maxHeight } = asked.data
    const type = types[format]
    if (!type) return nothing(reply, 501, 'It answers as json or xml.')
    const publicId = nameInPath(url, 'link', origin)
    const facts = publicId && PUBLIC_ID.test(publicId) ? await factsOf(publicId) : null
    if (!publicId || !facts) return nothing(reply, 404, 'There is no widget at that address.')
    const { title = '', width = 0, height = 0, narrower, players = [], behaviours = [] } = facts
    const agency = await agencyName()
    const answer = oEmbedOf(
      {
        origin,
        publicId,
        name: title,
        agency,
        width,
        height,
        narrower,
        plays: players.length > 0,
        asks: behaviours.includes('form'),
      },
      { maxWidth, maxHeight },
    )
    return reply
      .header('content-type', type)
      .header('cache-control', 'public, max-age=300')
      .send(format === 'xml' ? oEmbedXml(answer) : JSON.stringify(answer))
  })
}

async function factsOf(publicId: string) {
  const page = await Artefact.findOne({ attributes: ['facts'], where: { publicId, form: 'page' } })
  return page?.facts ?? null
}

const nothing = (reply: FastifyReply, status: number, says: string) =>
  reply.code(status).header('content-type', 'text/plain; charset=utf-8').send(`${says}\n`)
