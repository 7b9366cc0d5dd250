import type { SheetInfo } from '@pebblestrand/contract'
import type { z } from 'zod'
import { Op } from 'sequelize'
import { User } from '../accounts/models'
import { Install } from '../installs/models'
import { Mail } from '../mail/models'
import type { Context } from '../platform/context'
import { Page, Site } from '../sites/models'
import { Widget } from '../widgets/models'
import { Sheet, SheetInstall, SheetVisits } from '../sheets/models'
import { isSheetOpen, sheetAddress } from '../sheets/sheet-address'

/** Sheets of an install or of a site, with what became of them; the newest first. */
export async function describeSheets(
  { config }: Pick<Context, 'config'>,
  { installId, siteId }: { installId: string | null; siteId: string | null },
): Promise<z.output<typeof SheetInfo>[]> {
  const ids = installId ? (await SheetInstall.findAll({ where: { installId } })).map((one) => one.sheetId) : []
  const sheets = await Sheet.findAll({
    where: installId ? { id: ids } : siteId ? { siteId } : {},
    order: [['madeAt', 'DESC']],
    limit: 50,
  })
  const of = { sheetId: sheets.map(({ id }) => id) }
  const [held, visits, mails] = await Promise.all([
    SheetInstall.findAll({ where: of }),
    SheetVisits.findAll({ where: of, order: [['day', 'DESC']] }),
    Mail.findAll({ where: of, order: [['queuedAt', 'DESC']] }),
  ])
  const installs = await Install.findAll({ where: { id: held.map((one) => one.installId) } })
  const named = async <T extends { id: string }>(rows: Promise<T[]>) =>
    new Map((await rows).map((row) => [row.id, row]))
  const [pages, widgets, sites, people] = await Promise.all([
    named(Page.findAll({ attributes: ['id', 'title'], where: { id: installs.map((one) => one.pageId) } })),
    named(Widget.findAll({ attributes: ['id', 'name'], where: { id: installs.map((one) => one.widgetId) } })),
    named(Site.findAll({ attributes: ['id', 'name'], where: { id: sheets.map((one) => one.siteId) } })),
    named(
      User.findAll({
        attributes: ['id', 'name'],
        where: { id: { [Op.in]: sheets.flatMap((one) => one.madeBy ?? []) } },
      }),
    ),
  ])
  return sheets.map((sheet) => ({
    id: sheet.id,
    purpose: sheet.purpose,
    address: sheetAddress(config, sheet),
    siteId: sheet.siteId,
    site: sites.get(sheet.siteId)?.name ?? '',
    contactId: sheet.contactId,
    toName: sheet.toName,
    toMail: sheet.toMail,
    language: sheet.language,
    message: sheet.message,
    madeAt: sheet.madeAt,
    by: people.get(sheet.madeBy ?? '')?.name ?? null,
    endsAt: sheet.endsAt,
    withdrawnAt: sheet.withdrawnAt,
    isOpen: isSheetOpen(sheet),
    reminded: sheet.reminded,
    remindAfter: sheet.remindAfter,
    remindMost: sheet.remindMost,
    installs: held
      .filter(({ sheetId }) => sheetId === sheet.id)
      .flatMap(({ installId: id, method, snippet, trouble, troubleAt }) => {
        const install = installs.find((one) => one.id === id)
        if (!install) return []
        const { status, pageId, widgetId } = install
        const [widget, page] = [widgets.get(widgetId)?.name ?? '', pages.get(pageId)?.title ?? '']
        return [{ id, widget, page, status, method, snippet, trouble, troubleAt }]
      }),
    visits: visits
      .filter(({ sheetId }) => sheetId === sheet.id)
      .map(({ day, visits: count }) => ({ day, visits: count })),
    mails: mails
      .filter(({ sheetId }) => sheetId === sheet.id)
      .map(({ id, kind, state, problem, queuedAt, sentAt }) => ({ id, kind, state, problem, queuedAt, sentAt })),
  }))
}
