import { agencyName } from '../accounts/setup'
import { record } from '../activity/record'
import type { Context } from '../platform/context'
import { MailTransport } from '../platform/mail/transport'
import { Op } from 'sequelize'
import { Mail } from './models'

/** Tries before a mail is given up, and minutes between them, the last for all that come after. */
const MOST_TRIES = 8
const PAUSES = [1, 5, 15, 60, 180]

/**
 * Sends one mail. Who is refused for good is noted at once; anything else is tried again after a pause, since a server that is away
 * comes back.
 */
export async function sendMail(context: Context, mailId: string): Promise<void> {
  const mail = await Mail.findByPk(mailId)
  if (!mail || mail.state !== 'queued') return
  const { mail: settings, origin } = context.config
  if (!settings) return void (await mail.update({ state: 'failed', problem: 'This installation sends no mail.' }))
  const transport = new MailTransport(settings)
  try {
    const { subject, text, html, toName, toMail, replyTo } = mail
    const sent = await transport.send({
      subject,
      text,
      html,
      to: { name: toName, address: toMail },
      fromName: await agencyName(),
      replyTo,
      messageId: `<${mail.id}@${new URL(origin).hostname}>`,
    })
    const tries = mail.tries + 1
    if (sent.how === 'sent') await mail.update({ state: 'sent', sentAt: new Date(), tries, problem: null })
    else if (sent.how === 'bounced' || tries >= MOST_TRIES) {
      await mail.update({ state: sent.how === 'bounced' ? 'bounced' : 'failed', tries, problem: sent.problem })
      await record('mail-failed', { data: { to: mail.toMail, problem: sent.problem, sheetId: mail.sheetId } })
    } else await mail.update({ tries, problem: sent.problem })
  } finally {
    transport.close()
  }
}

/** Tries those again whose pause is over. */
export async function sendWaiting(context: Context, now = new Date()): Promise<void> {
  const waiting = await Mail.findAll({
    where: { state: 'queued', tries: { [Op.gt]: 0 } },
    order: [['queuedAt', 'ASC']],
    limit: 200,
  })
  for (const mail of waiting) {
    const pauses = Array.from({ length: mail.tries }, (_, i) => PAUSES[Math.min(i, PAUSES.length - 1)]!)
    const from = mail.queuedAt.getTime() + pauses.reduce((sum, minutes) => sum + minutes, 0) * 60_000
    if (from <= now.getTime()) await sendMail(context, mail.id)
  }
}
