import { advise, profiles, type Method } from '@pebblestrand/core/snippet'
import { Op, UniqueConstraintError } from 'sequelize'
import { record } from '../activity/record'
import { queueCheck } from '../checks/queue-check'
import { recomputeForWidget } from '../delivery/compute'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { publicId } from '../platform/ids'
import { Page, Placement, Site } from '../sites/models'
import { Release, Widget } from '../widgets/models'
import { Install } from './models'

export interface WantedInstall {
  widgetId: string
  pageId: string
  placementId: string
  method?: Method
}

/** Plans an install: the best method for the placement, the bytes it will serve, and a first look at the page as it is now. */
export async function planInstall(context: Context, wanted: WantedInstall, userId: string | null): Promise<Install> {
  const [widget, page, placement] = await Promise.all([
    Widget.findByPk(wanted.widgetId),
    Page.findByPk(wanted.pageId, { include: Site }),
    Placement.findByPk(wanted.placementId),
  ])
  if (!widget || !page || !placement) throw new AppError('not-found')
  if (placement.siteId !== page.siteId || (placement.pageId && placement.pageId !== page.id)) {
    throw new AppError('invalid', {
      message: 'placementId: this placement is not on that page.',
      issues: [{ field: 'placementId', message: 'is not on that page' }],
    })
  }
  if (!(await Release.count({ where: { widgetId: widget.id } }))) throw new AppError('not-published')
  const profile = profiles[page.Site!.platform]!
  const install = await create(
    context,
    { ...wanted, method: wanted.method ?? advise(profile, placement.region).best.method },
    userId,
  )
  await recomputeForWidget(context, widget.id, { installId: install.id })
  await queueCheck(context, install, 'plan', userId)
  return install
}

async function create({ db }: Context, wanted: Required<WantedInstall>, userId: string | null): Promise<Install> {
  try {
    return await db.transaction(async (transaction) => {
      const install = await Install.create({ ...wanted, publicId: publicId(), plannedBy: userId }, { transaction })
      await record('planned', { userId, installId: install.id }, transaction)
      return install
    })
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error
    const there = await Install.findOne({
      where: {
        widgetId: wanted.widgetId,
        pageId: wanted.pageId,
        placementId: wanted.placementId,
        status: { [Op.ne]: 'retired' },
      },
    })
    throw new AppError('already-planned', { data: { installId: there?.id } })
  }
}
