import { routes } from '@pebblestrand/contract'
import { fileForms, sheetFile } from '@pebblestrand/core/handover'
import { spokenLanguage } from '@pebblestrand/core/words'
import { agencyName } from '../accounts/setup'
import { record } from '../activity/record'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import type { Serve } from '../platform/http/serve'
import { Page, Site } from '../sites/models'
import { describeSheets } from './describe-sheets'
import { makeSheet } from './make-sheet'
import { Sheet } from '../sheets/models'
import { openInstalls, type Scope } from './open-installs'
import { itemsOf } from './read-sheet'
import { remind } from './reminders'
import { isSheetOpen } from '../sheets/sheet-address'

export function handoverRoutes(serve: Serve, context: Context): void {
  const { handover } = routes

  serve(handover.list, async ({ query }) => ({ rows: await describeSheets(context, query) }))

  serve(handover.open, async ({ params: { id } }) => {
    const { install, page } = await placeOf(id)
    const purpose = install.retiring ? 'remove' : 'paste'
    const count = async (scope: Scope, of: string) => (await openInstalls(context.db, purpose, scope, of)).length
    return {
      purpose,
      install: await count('install', id),
      page: await count('page', page.id),
      site: await count('site', page.siteId),
    } as const
  })

  serve(handover.make, async ({ body, userId }) => ({ id: (await makeSheet(context, body, userId)).id }))

  serve(handover.withdraw, async ({ params: { id }, userId }) => {
    const sheet = await sheetOf(id)
    if (!sheet.withdrawnAt)
      await context.db.transaction(async (transaction) => {
        await sheet.update({ withdrawnAt: new Date() }, { transaction })
        await record(
          'sheet-withdrawn',
          { userId, siteId: sheet.siteId, data: { to: sheet.toName || sheet.toMail, sheetId: id } },
          transaction,
        )
      })
    return { done: true as const }
  })

  serve(handover.remind, async ({ params: { id }, userId }) => {
    const sheet = await sheetOf(id)
    if (!sheet.toMail || !isSheetOpen(sheet)) throw new AppError('cannot-now')
    if (!context.config.mail) throw new AppError('no-mail')
    await context.db.transaction((transaction) => remind(context, [sheet], userId, transaction))
    return { done: true as const }
  })

  serve(handover.file, async ({ params: { id }, query: { form }, reply, userId }) => {
    const { install, page } = await placeOf(id)
    const site = (await Site.findByPk(page.siteId))!
    const purpose = install.retiring ? 'remove' : 'paste'
    const [said] = await itemsOf(context, { purpose, language: site.language ?? 'en-GB' }, [
      { installId: id, askedAt: null, checkId: null, troubleAt: null },
    ])
    if (!said) throw new AppError('not-found')
    const sheet = {
      purpose,
      language: spokenLanguage(site.language),
      agency: await agencyName(),
      site: site.name,
      name: '',
      message: '',
      items: [said.item],
      address: '',
      qr: '',
      ends: '',
    } as const
    await record('downloaded', { userId, installId: id, data: { form } })
    return reply
      .type(fileForms[form].type)
      .header('content-disposition', `attachment; filename="${install.publicId}.${form}"`)
      .send(sheetFile({ ...sheet, items: [said.item] }, form))
  })
}

async function placeOf(id: string): Promise<{ install: Install; page: Page }> {
  const install = await Install.findByPk(id)
  const page = install && (await Page.findByPk(install.pageId))
  if (!install || !page) throw new AppError('not-found')
  return { install, page }
}

async function sheetOf(id: string): Promise<Sheet> {
  const sheet = await Sheet.findByPk(id)
  if (!sheet) throw new AppError('not-found')
  return sheet
}
