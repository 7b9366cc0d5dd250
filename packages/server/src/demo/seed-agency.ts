import { AgencyStarter } from '../widgets/agency-starters'
import { keepAgencySettings } from '../accounts/agency-settings'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import type { Site } from '../sites/models'
import { Client, Page } from '../sites/models'
import { PlannedSwap } from '../swaps/models'
import { draftOf } from '../widgets/draft'
import { Widget } from '../widgets/models'
import { designOf, kindOf } from '@pebblestrand/core/kinds'

const DAY = 86_400_000

/** What the agency has set for all its widgets, a design it keeps, and a swap that is to come. */
export async function seedAgency(
  { db }: Context,
  sites: Map<string, Site>,
  widgetIds: Record<string, string>,
  userId: string,
) {
  await db.transaction((transaction) =>
    keepAgencySettings(
      {
        credit: { words: 'Kept by Tern & Tiller', link: 'http://tern-and-tiller.example/', look: 'ruled' },
        naming: '{client}: {kind}, {month}',
        history: { evidenceDays: 90, verdictDays: 730 },
      },
      transaction,
    ),
  )
  await Client.update({ credited: true }, { where: { id: sites.get('orrin-kiln')!.clientId } })
  await seedStarter(widgetIds['From the kiln']!, userId)
}

async function seedStarter(widgetId: string, userId: string): Promise<void> {
  const widget = (await Widget.findByPk(widgetId))!
  const kind = kindOf(widget.kind)!
  await AgencyStarter.create({
    kind: kind.id,
    name: 'Wall with captions',
    settings: designOf(kind, draftOf(widget)),
    kindVersion: kind.version,
    madeBy: userId,
  })
}

/** In a place of the ferries' news, for a week. */
export async function seedSwap(
  sites: Map<string, Site>,
  widgetIds: Record<string, string>,
  userId: string,
): Promise<void> {
  const page = await Page.findOne({ where: { siteId: sites.get('gullhaven')!.id, path: '/news' } })
  const install = await Install.findOne({ where: { pageId: page!.id, widgetId: widgetIds['Island round-up']! } })
  const fromAt = new Date(Math.ceil((Date.now() + 2 * DAY) / DAY) * DAY + 8 * 3_600_000)
  await PlannedSwap.create({
    installId: install!.id,
    widgetId: widgetIds['Culture column']!,
    fromAt,
    untilAt: new Date(fromAt.getTime() + 7 * DAY),
    plannedBy: userId,
  })
}
