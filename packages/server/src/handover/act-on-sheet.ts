import { record } from '../activity/record'
import { queueCheck } from '../findings/queue-check'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { type Sheet, SheetInstall } from '../sheets/models'

/** One install of a sheet, by how it is known outside. */
async function held(sheet: Sheet, publicId: string): Promise<{ install: Install; line: SheetInstall }> {
  const install = await Install.findOne({ where: { publicId } })
  const line = install && (await SheetInstall.findOne({ where: { sheetId: sheet.id, installId: install.id } }))
  if (!install || !line) throw new AppError('not-found')
  return { install, line }
}

/** Whoever has the sheet says that it is done: it is looked at, at once. */
export async function sayDone(context: Context, sheet: Sheet, publicId: string, now = new Date()): Promise<void> {
  const { install, line } = await held(sheet, publicId)
  if (sheet.purpose === 'paste' && install.retiring) return
  if (install.status === 'retired' || (install.status === 'confirmed' && sheet.purpose === 'paste')) return
  await context.db.transaction(async (transaction) => {
    await line.update({ askedAt: now, checkId: null }, { transaction })
    if (sheet.purpose === 'paste' && (install.status === 'planned' || install.status === 'handed-over')) {
      await install.update({ status: 'pasted', pastedAt: now }, { transaction })
      await record(
        'pasted',
        { installId: install.id, data: { by: sheet.toName || sheet.toMail || null, sheetId: sheet.id } },
        transaction,
      )
    }
  })
  await line.update({ checkId: await queueCheck(context, install, install.retiring ? 'retire' : 'person', null) })
}

/** Steps that are done: kept, so that they are seen on another device, and by the agency. */
export async function keepSteps(sheet: Sheet, publicId: string, steps: readonly string[]): Promise<void> {
  const { install } = await held(sheet, publicId)
  // Steps of pasting and of taking out are ticked by themselves.
  const isOut = (id: string) => id.startsWith('out-')
  const others = install.stepsDone.filter((id) => isOut(id) !== (sheet.purpose === 'remove'))
  await install.update({ stepsDone: [...others, ...new Set(steps)].slice(0, 40) })
}

/** It did not work: the agency is told, in the time line and on Today. */
export async function tellTrouble(
  context: Context,
  sheet: Sheet,
  publicId: string,
  note: string,
  now = new Date(),
): Promise<void> {
  const { install, line } = await held(sheet, publicId)
  await context.db.transaction(async (transaction) => {
    await line.update({ trouble: note, troubleAt: now }, { transaction })
    await record(
      'trouble',
      { installId: install.id, data: { by: sheet.toName || sheet.toMail || null, note, sheetId: sheet.id } },
      transaction,
    )
  })
}
