import { fitVerdict, kindOf, readSettings } from '@pebblestrand/core/kinds'
import type { Verdict } from '@pebblestrand/core/verify'
import { Op } from 'sequelize'
import { record } from '../activity/record'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { Placement } from '../sites/models'
import { Release, Widget } from '../widgets/models'

/** One install, and what was seen of it. */
export interface SeenInstall {
  install: Install
  verdict: Verdict
}

/**
 * Notes where a placement is no longer as wide as it was read, and tells it once, with whether it still fits, of every install
 * that stands there. After the verdicts are written, in transactions of its own: a placement is shared by many pages.
 */
export async function noteWidths({ db }: Context, seen: readonly SeenInstall[]): Promise<void> {
  for (const { install, verdict } of seen) {
    const { notes, facts } = verdict
    if (!install.placementId || facts.room === null) continue
    const now = notes.some(({ code }) => code === 'width-changed') ? facts.room : null
    await db.transaction(async (transaction) => {
      const placement = await Placement.findByPk(install.placementId!, { lock: true, transaction })
      if (placement?.known !== 'read' || placement.widthSeen === now) return
      await placement.update({ widthSeen: now }, { transaction })
      if (now === null) return
      const there = await Install.findAll({
        where: { placementId: placement.id, status: { [Op.ne]: 'retired' } },
        order: ['id'],
        limit: 200,
        transaction,
      })
      for (const { id, widgetId } of there) {
        const fits = !(await fitted(widgetId, placement.width)) || (await fitted(widgetId, now))
        const title = `Its place is ${now} px wide now, ${placement.width} px were read${fits ? '' : ': it no longer fits'}`
        await record('width-changed', { installId: id, data: { title, fits } }, transaction)
      }
    })
  }
}

/** Whether a widget, as it was published last, fits a width as it was meant to. */
async function fitted(widgetId: string, width: number): Promise<boolean> {
  const widget = await Widget.findByPk(widgetId, { attributes: ['kind'] })
  const kind = kindOf(widget?.kind ?? '')
  const release = await Release.findOne({ where: { widgetId }, order: [['number', 'DESC']] })
  if (!kind?.box || !release) return true
  const settings = readSettings(kind, release.settings, release.kindVersion) as never
  return fitVerdict(kind.box, settings, width).verdict === 'fits'
}
