import { profiles } from '@pebblestrand/core/snippet'
import { QueryTypes, type Sequelize } from 'sequelize'
import { User } from '../accounts/models'
import { AppError } from '../platform/errors'
import { Client, Page, Placement, Site } from './models'
import { installsOfSite } from './queries'

/** A site with its pages, placements and what is planned in them. */
export async function describeSite(db: Sequelize, id: string) {
  const site = await Site.findByPk(id, { include: Client })
  if (!site) throw new AppError('not-found')
  const [pages, placements, installs, keeper] = await Promise.all([
    Page.findAll({
      where: { siteId: id },
      order: [
        ['position', 'ASC'],
        ['path', 'ASC'],
      ],
    }),
    Placement.findAll({
      where: { siteId: id },
      order: [
        ['position', 'ASC'],
        ['name', 'ASC'],
      ],
    }),
    db.query(installsOfSite, { replacements: { siteId: id }, type: QueryTypes.SELECT }),
    site.keeperId ? User.findByPk(site.keeperId) : null,
  ])
  return {
    id,
    name: site.name,
    origin: site.origin,
    client: site.Client!.name,
    platform: { id: site.platform, name: profiles[site.platform]?.name ?? site.platform },
    cacheMinutes: site.cacheMinutes,
    timeZone: site.timeZone,
    look: site.look,
    lookedAt: site.lookedAt,
    keeper: keeper?.name ?? null,
    pages,
    placements,
    installs,
  }
}
