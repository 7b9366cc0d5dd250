import { pagesToTry } from '@pebblestrand/core/presence'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { standingOver } from '../rehearsals/standing'
import { addressOf } from '../sites/address'
import { Page, Site } from '../sites/models'
import type { Trying } from '../looks/try-presence'
import type { Check } from '../findings/models'

/** Pages of a site that are looked through for one on which something may not appear. */
const MOST_PAGES = 500

/** What of the installs that are checked on a page stands over it by rules of its own: what is tried out, and where. */
export async function triedOn(
  context: Pick<Context, 'db'>,
  pageId: string,
  checks: readonly Pick<Check, 'installId'>[],
): Promise<Trying[]> {
  const page = await Page.findByPk(pageId, { include: Site })
  if (!page?.Site) return []
  const asked = new Set(checks.map(({ installId }) => installId))
  const standing = (await standingOver(context, page.siteId)).filter(({ installId }) => asked.has(installId))
  if (!standing.length) return []
  const { timeZone, origin } = page.Site
  const others = await Page.findAll({ where: { siteId: page.siteId }, order: ['position', 'id'], limit: MOST_PAGES })
  const paths = [page, ...others].map(({ path }) => new URL(addressOf({ origin, path })).pathname)
  const installs = await Install.findAll({ where: { id: standing.map(({ installId }) => installId) } })
  const ids = new Map(installs.map((one) => [one.id, one.publicId]))
  return standing.map(({ installId, rules, on }) => {
    const { within, outside } = pagesToTry(rules, on, paths)
    return {
      id: ids.get(installId)!,
      rules,
      timeZone,
      within: within === null ? null : origin + within,
      outside: outside === null ? null : origin + outside,
    }
  })
}
