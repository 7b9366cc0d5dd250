import { routes } from '@pebblestrand/contract'
import { wordingFaults, type MailKind } from '@pebblestrand/core/handover'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import type { Serve } from '../platform/http/serve'
import { Mail } from './models'
import { keepMailSettings, mailSettings } from './settings'

export function mailRoutes(serve: Serve, { config }: Context): void {
  const { mail } = routes

  serve(mail.read, async () => ({ ...(await mailSettings()), sends: config.mail !== null }))

  serve(mail.change, async ({ body }) => {
    const issues = Object.entries(body.wording).flatMap(([kind, languages]) =>
      Object.entries(languages ?? {}).flatMap(([language, wording]) =>
        wording
          ? wordingFaults(wording).map(({ field, message }) => ({
              field: `wording.${kind as MailKind}.${language}.${field}`,
              message,
            }))
          : [],
      ),
    )
    if (issues.length) throw new AppError('invalid', { message: `${issues[0]!.field}: ${issues[0]!.message}.`, issues })
    await keepMailSettings(body)
    return body
  })

  serve(mail.list, async ({ query: { page, size } }) => {
    const { rows, count } = await Mail.findAndCountAll({
      where: { leadIds: [] }, // what visitors wrote is looked at where it is kept
      order: [['queuedAt', 'DESC']],
      limit: size,
      offset: (page - 1) * size,
    })
    return { rows, total: count, page, size }
  })
}
