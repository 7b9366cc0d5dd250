import { letter, type MailKind } from '@pebblestrand/core/handover'
import { spokenLanguage } from '@pebblestrand/core/words'
import type { Transaction } from 'sequelize'
import { agencyName } from '../accounts/setup'
import { User } from '../accounts/models'
import { queueMail } from '../mail/queue-mail'
import { wordingFor } from '../mail/settings'
import type { Context } from '../platform/context'
import { Page, Site } from '../sites/models'
import { Widget } from '../widgets/models'
import type { Sheet } from '../sheets/models'
import { sheetAddress } from '../sheets/sheet-address'
import { waitingInstalls } from './waiting-installs'

/** Mails somebody their sheet, in their language, as from whoever keeps the site. */
export async function mailSheet(
  context: Context,
  sheet: Sheet,
  kind: MailKind,
  transaction: Transaction,
  now = new Date(),
): Promise<void> {
  const site = await siteOf(sheet, transaction)
  await write(
    context,
    sheet,
    kind,
    { site: site.name, link: sheetAddress(context.config, sheet) },
    await waitingLines(sheet, transaction),
    transaction,
    now,
  )
  await sheet.update({ mailedAt: now }, { transaction })
}

/** One mail that reminds of several sheets of one person: all that waits, and the address of each. */
export async function mailSheets(
  context: Context,
  sheets: readonly Sheet[],
  transaction: Transaction,
  now = new Date(),
): Promise<void> {
  const sites: string[] = []
  const lines: string[] = []
  for (const sheet of sheets) {
    const site = await siteOf(sheet, transaction)
    sites.push(site.name)
    for (const line of await waitingLines(sheet, transaction)) lines.push(`${site.name}: ${line}`)
  }
  const about = {
    site: [...new Set(sites)].join(', '),
    link: sheets.map((sheet) => sheetAddress(context.config, sheet)).join('\n'),
  }
  await write(context, sheets.at(-1)!, 'reminder', about, lines, transaction, now)
}

const siteOf = async ({ siteId }: Sheet, transaction: Transaction) => (await Site.findByPk(siteId, { transaction }))!

async function write(
  context: Context,
  sheet: Sheet,
  kind: MailKind,
  about: { site: string; link: string },
  lines: readonly string[],
  transaction: Transaction,
  now: Date,
): Promise<void> {
  const { keeperId } = await siteOf(sheet, transaction)
  const person = async (id: string | null) => (id ? User.findByPk(id, { transaction }) : null)
  const sender = await person(sheet.madeBy ?? keeperId)
  const keeper = (await person(keeperId)) ?? sender
  const language = spokenLanguage(sheet.language)
  const agency = await agencyName()
  const written = letter(
    await wordingFor(kind, language.labels, transaction),
    { name: sheet.toName || sheet.toMail, sender: sender?.name ?? agency, agency, ...about },
    lines,
    { lang: language.tag, direction: language.direction },
  )
  const { toName, toMail } = sheet
  await queueMail(
    context,
    { ...written, sheetId: sheet.id, kind, toName, toMail, replyTo: keeper?.email ?? null, queuedAt: now },
    transaction,
  )
}

/** What still waits on a sheet, a line each. */
export async function waitingLines(sheet: Sheet, transaction?: Transaction): Promise<string[]> {
  const waiting = await waitingInstalls(sheet, transaction)
  const widgets = await Widget.findAll({ where: { id: waiting.map(({ widgetId }) => widgetId) }, transaction })
  const pages = await Page.findAll({ where: { id: waiting.map(({ pageId }) => pageId) }, transaction })
  const named = new Map(widgets.map(({ id, name }) => [id, name]))
  return pages
    .sort((a, b) => a.position - b.position)
    .flatMap(({ id, title }) =>
      waiting.filter(({ pageId }) => pageId === id).map(({ widgetId }) => `${named.get(widgetId) ?? ''} (${title})`),
    )
}
