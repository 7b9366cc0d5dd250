import { randomBytes } from 'node:crypto'
import { languages, spokenLanguage } from '@pebblestrand/core/words'
import { record } from '../activity/record'
import { instructionsFor } from '../installs/instructions'
import { Install } from '../installs/models'
import { mailSettings } from '../mail/settings'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { Page, Site } from '../sites/models'
import { Contact } from '../contacts/models'
import { Sheet, SheetInstall, type SheetPurpose } from '../sheets/models'
import { mailSheet } from './mail-sheet'
import { openInstalls, type Scope } from './open-installs'

export interface WantedSheet {
  purpose: SheetPurpose
  scope: Scope
  id: string
  contactId?: string | null | undefined
  toName: string
  toMail: string
  language?: string | null | undefined
  message: string
  days: number
  mail: boolean
}

const DAY_MS = 86_400_000

const fault = (field: string, message: string) =>
  new AppError('invalid', { message: `${field}: ${message}.`, issues: [{ field, message }] })

/** A new address that nobody can guess: 192 bits. */
const newToken = () => randomBytes(24).toString('base64url')

/**
 * Makes a private link, notes what is handed over by it, and mails it where that is asked for.
 * @throws AppError `invalid` where nothing is open there
 */
export async function makeSheet(
  context: Context,
  wanted: WantedSheet,
  userId: string | null,
  now = new Date(),
): Promise<Sheet> {
  const site = await siteOf(wanted)
  const contact = wanted.contactId ? await Contact.findByPk(wanted.contactId) : null
  if (wanted.contactId && contact?.clientId !== site.clientId) throw fault('contactId', 'is nobody of this client')
  const toMail = wanted.toMail || contact?.email || ''
  if (wanted.mail && !toMail) throw fault('toMail', 'is missing: without it nothing can be mailed')
  if (wanted.mail && !context.config.mail)
    throw new AppError('no-mail', {
      remedy: 'Set PEBBLESTRAND_SMTP and start again, or send the link yourself.',
    })
  const installIds =
    wanted.purpose === 'kept' ? [] : await openInstalls(context.db, wanted.purpose, wanted.scope, wanted.id)
  if (wanted.purpose !== 'kept' && !installIds.length)
    throw fault(
      'scope',
      wanted.purpose === 'paste' ? 'has nothing that waits to be pasted' : 'has nothing to be taken out',
    )
  const handed = await instructionsFor(context, installIds)
  const { remindAfter, remindMost } = await mailSettings()
  return context.db.transaction(async (transaction) => {
    const sheet = await Sheet.create(
      {
        token: newToken(),
        purpose: wanted.purpose,
        siteId: site.id,
        contactId: contact?.id ?? null,
        toName: wanted.toName || contact?.name || '',
        toMail,
        language: wanted.language ?? contact?.language ?? languageOf(site),
        message: wanted.message,
        endsAt: new Date(now.getTime() + wanted.days * DAY_MS),
        remindAfter: wanted.mail ? remindAfter : 0,
        remindMost: wanted.mail && remindAfter ? remindMost : 0,
        madeBy: userId,
        madeAt: now,
      },
      { transaction },
    )
    await SheetInstall.bulkCreate(
      handed.map(({ install: { id, method }, snippets }) => ({
        sheetId: sheet.id,
        installId: id,
        method,
        snippet: snippets[method],
      })),
      { transaction },
    )
    for (const {
      install: { id, status },
    } of handed) {
      if (status === 'planned') await Install.update({ status: 'handed-over' }, { where: { id }, transaction })
      await record(
        'handed-over',
        {
          userId,
          installId: id,
          data: {
            to: sheet.toName || sheet.toMail,
            way: wanted.mail ? 'mail' : 'link',
            purpose: sheet.purpose,
            sheetId: sheet.id,
          },
        },
        transaction,
      )
    }
    if (wanted.mail) await mailSheet(context, sheet, wanted.purpose === 'remove' ? 'remove' : 'paste', transaction, now)
    return sheet
  })
}

/** The language that whoever keeps a site most likely reads. */
const languageOf = ({ language }: Site): string => {
  const { tag } = spokenLanguage(language)
  return Object.hasOwn(languages, tag)
    ? tag
    : (Object.entries(languages).find(([, one]) => one.labels === spokenLanguage(language).labels)?.[0] ?? tag)
}

async function siteOf({ scope, id, purpose }: WantedSheet): Promise<Site> {
  const pageId = scope === 'install' ? (await Install.findByPk(id, { attributes: ['pageId'] }))?.pageId : id
  const siteId = scope === 'site' ? id : (await Page.findByPk(pageId ?? id, { attributes: ['siteId'] }))?.siteId
  const site = siteId ? await Site.findByPk(siteId) : null
  if (!site) throw new AppError('not-found')
  if (purpose === 'kept' && scope !== 'site') throw fault('scope', 'must be a site, for a client’s own page')
  return site
}
