import { isSameWidth } from '@pebblestrand/core/layout'
import { fitVerdict, kindOf, readSettings } from '@pebblestrand/core/kinds'
import type { Verdict } from '@pebblestrand/core/verify'
import { Op, type Transaction } from 'sequelize'
import { record } from '../activity/record'
import type { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { Placement } from '../sites/models'
import { Release, Widget } from '../widgets/models'
import { Check } from '../findings/models'

/** One install, and what was seen of it. */
export interface SeenInstall {
  install: Install
  verdict: Verdict
}

/**
 * Tells that an install's place is no longer as wide as it was read, with whether it still fits: once for each width that it
 * is found to have.
 */
export async function tellWidth(
  { install, verdict }: SeenInstall,
  check: string,
  transaction: Transaction,
): Promise<void> {
  const now = changedTo(verdict)
  if (now === null || !install.placementId) return
  const placement = await Placement.findByPk(install.placementId, { transaction })
  if (placement?.known !== 'read') return
  const before = await widthBefore(install.id, check, transaction)
  if (before !== null && isSameWidth(before, now) && !isSameWidth(before, placement.width)) return
  const fits =
    !(await fitted(install.widgetId, placement.width, transaction)) ||
    (await fitted(install.widgetId, now, transaction))
  const title = `Its place is ${now} px wide now, ${placement.width} px were read${fits ? '' : ': it no longer fits'}`
  await record('width-changed', { installId: install.id, data: { title, fits } }, transaction)
}

/** Px that the install had when it was last measured; null before that. */
async function widthBefore(installId: string, check: string, transaction: Transaction): Promise<number | null> {
  const last = await Check.findOne({
    attributes: ['facts'],
    where: { installId, id: { [Op.ne]: check }, facts: { room: { [Op.ne]: null } } },
    order: [['askedAt', 'DESC']],
    transaction,
  })
  return last?.facts?.room ?? null
}

/** Px of a place that is no longer as it was read; null for one that is. */
const changedTo = ({ notes, facts }: Verdict) =>
  notes.some(({ code }) => code === 'width-changed') ? facts.room : null

/**
 * Notes how wide a placement was last found that is no longer as it was read. After the verdicts are written, in transactions
 * of its own: a placement is shared by many pages.
 */
export async function noteWidths({ db }: Context, seen: readonly SeenInstall[]): Promise<void> {
  for (const { install, verdict } of seen) {
    if (!install.placementId || verdict.facts.room === null) continue
    const now = changedTo(verdict)
    await db.transaction(async (transaction) => {
      const placement = await Placement.findByPk(install.placementId!, { lock: true, transaction })
      if (placement?.known === 'read' && placement.widthSeen !== now)
        await placement.update({ widthSeen: now }, { transaction })
    })
  }
}

/** Whether a widget, as it was published last, fits a width as it was meant to. */
async function fitted(widgetId: string, width: number, transaction: Transaction): Promise<boolean> {
  const widget = await Widget.findByPk(widgetId, { attributes: ['kind'], transaction })
  const kind = kindOf(widget?.kind ?? '')
  const release = await Release.findOne({ where: { widgetId }, order: [['number', 'DESC']], transaction })
  if (!kind?.box || !release) return true
  const settings = readSettings(kind, release.settings, release.kindVersion) as never
  return fitVerdict(kind.box, settings, width).verdict === 'fits'
}
