import type { Trying } from '../checks/browser/try-presence'
import type { Check } from '../checks/models'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { Page, Site } from '../sites/models'
import { standingOver } from './standing'

/** What of the installs that are checked on a page stands over it by rules of its own: what is tried out there. */
export async function triedOn(
  context: Pick<Context, 'db'>,
  pageId: string,
  checks: readonly Pick<Check, 'installId'>[],
): Promise<Trying[]> {
  const page = await Page.findByPk(pageId, { include: Site })
  if (!page?.Site) return []
  const asked = new Set(checks.map(({ installId }) => installId))
  const standing = (await standingOver(context, page.siteId)).filter(({ installId }) => asked.has(installId))
  const ids = new Map(
    (await Install.findAll({ where: { id: standing.map(({ installId }) => installId) } })).map((one) => [
      one.id,
      one.publicId,
    ]),
  )
  const { timeZone } = page.Site
  return standing.map(({ installId, rules }) => ({ id: ids.get(installId)!, rules, timeZone }))
}
