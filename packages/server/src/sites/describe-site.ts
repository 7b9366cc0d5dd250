import type { InstallOnSite } from '@pebblestrand/contract'
import { kindOf, readSettings, type Settings } from '@pebblestrand/core/kinds'
import { QueryTypes, type Sequelize } from 'sequelize'
import type { z } from 'zod'
import { User } from '../accounts/models'
import { drawnInstalls, thumbnailsOf } from '../artefacts/thumbnails'
import { AppError } from '../platform/errors'
import { profileOf } from '../profiles/profile-of'
import { describeTag } from './describe-tag'
import { Client, Page, Placement, Site } from './models'
import { installsOfSite } from './queries'
import { SiteReading } from './reading/models'

/** A site with its pages, placements and what is planned in them. */
export async function describeSite(db: Sequelize, id: string) {
  const site = await Site.findByPk(id, { include: Client })
  if (!site) throw new AppError('not-found')
  const [pages, placements, installs, keeper, reading] = await Promise.all([
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
    db.query<PlannedRow>(installsOfSite, { replacements: { siteId: id }, type: QueryTypes.SELECT }),
    site.keeperId ? User.findByPk(site.keeperId) : null,
    SiteReading.findOne({
      where: { siteId: id, state: 'done' },
      attributes: ['id', 'finishedAt', 'read'],
      order: [['askedAt', 'DESC']],
    }),
  ])
  const profile = await profileOf(site.platform)
  return {
    id,
    name: site.name,
    origin: site.origin,
    client: site.Client!.name,
    credited: site.Client!.credited,
    lookChanges: site.lookChanges.filter(({ kept }) => !kept),
    platform: { id: site.platform, name: profile.name, connector: profile.connector },
    connector: site.connector,
    pasteNotes: site.pasteNotes,
    cacheMinutes: site.cacheMinutes,
    timeZone: site.timeZone,
    language: site.language,
    reading: reading && { id: reading.id, at: reading.finishedAt, read: reading.read },
    look: site.look,
    lookedAt: site.lookedAt,
    keeper: keeper?.name ?? null,
    pages: pages.map(({ id: pageId, title, path, previewUrl }) => ({ id: pageId, title, path, previewUrl })),
    placements: placements.map(describePlacement),
    installs: installs.map(withSettings),
    tag: await describeTag(db, id),
    thumbnails: {
      ...(await thumbnailsOf(installs.map((install) => install.widgetId))),
      ...(await drawnInstalls(installs.filter(({ kind }) => kindOf(kind)?.facts?.length).map((install) => install.id))),
    },
  }
}

const describePlacement = (placement: Placement) => {
  const { id, pageId, name, region, width, widthTablet, widthPhone, known, widthSeen, selector } = placement
  return { id, pageId, name, region, width, widthTablet, widthPhone, known, widthSeen, selector }
}

interface PlannedRow extends z.infer<typeof InstallOnSite> {
  kindVersion: number | null
}

/** The release's settings as its kind has them now. */
function withSettings({ kindVersion, settings, ...row }: PlannedRow) {
  const kind = kindOf(row.kind)
  return { ...row, settings: kind && settings ? (readSettings(kind, settings, kindVersion ?? 1) as Settings) : null }
}
