import { routes } from '@pebblestrand/contract'
import type { SiteLook } from '@pebblestrand/core/look'
import { recomputeFor } from '../../artefacts/queue-recompute'
import type { Context } from '../../platform/context'
import { AppError } from '../../platform/errors'
import type { Serve } from '../../platform/http/serve'
import { describeSite } from '../describe-site'
import { Site } from '../models'
import { requireReachable } from '../reachable'
import { takeLook } from './take-look'

export function siteLookRoutes(serve: Serve, context: Context): void {
  const { siteLooks } = routes

  serve(siteLooks.read, async ({ params, body: { address } }) => {
    const site = await found(params.id)
    const url = new URL(address || '/', site.origin).href
    requireReachable(context.config, url, 'address')
    if (new URL(url).origin !== site.origin)
      throw new AppError('invalid', {
        message: 'address: is not on this site.',
        issues: [{ field: 'address', message: 'is not on this site' }],
      })
    return takeLook(context, url)
  })

  serve(siteLooks.take, async ({ params, body: { pieces, contentWidth = 0, fontFaces } }) => {
    const site = await found(params.id)
    const first = { ...unknown, headingFont: pieces.bodyFont ?? unknown.headingFont }
    const look = { ...(site.look ?? first), ...pieces, ...(fontFaces ? { fontFaces } : {}) } as SiteLook
    if (contentWidth) look.contentWidth = contentWidth
    await context.db.transaction(async (transaction) => {
      await site.update({ look, lookedAt: new Date(), lookChanges: [] }, { transaction })
      await recomputeFor(context, 'site', site.id, transaction)
    })
    return describeSite(context.db, site.id)
  })

  /** What is noted stays; the same is not told again. */
  serve(siteLooks.keep, async ({ params }) => {
    const site = await found(params.id)
    await site.update({ lookChanges: site.lookChanges.map((change) => ({ ...change, kept: true })) })
    return describeSite(context.db, site.id)
  })
}

/** Of a site whose look nobody has noted yet: as most browsers draw a page. */
const unknown: SiteLook = {
  bodyFont: 'serif',
  headingFont: 'serif',
  fontFaces: [],
  text: '#000000',
  background: '#ffffff',
  accent: '#0000ee',
  contentWidth: 1280,
}

async function found(id: string): Promise<Site> {
  const site = await Site.findByPk(id)
  if (!site) throw new AppError('not-found')
  return site
}
