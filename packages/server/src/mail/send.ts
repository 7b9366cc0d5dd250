import { agencyName } from '../accounts/setup'
import { record } from '../activity/record'
import type { Context } from '../platform/context'
import { MailTransport } from '../platform/mail/transport'
import { unseal } from '../platform/seal'
import { Op, type Transaction } from 'sequelize'
import { Mail } from './models'

/** Tries before a mail is given up, and minutes between them, the last for all that come after. */
const MOST_TRIES = 8
const PAUSES = [1, 5, 15, 60, 180]

/**
 * Sends one mail; nobody else sends it meanwhile. Who is refused for good is noted at once; anything else is tried again after a pause,
 * since a server that is away comes back.
 */
export const sendMail = (context: Context, mailId: string): Promise<void> =>
  context.db.transaction(async (transaction) => {
    const mail = await Mail.findOne({
      where: { id: mailId, state: 'queued' },
      lock: transaction.LOCK.UPDATE,
      skipLocked: true,
      transaction,
    })
    if (mail) await sendQueued(context, mail, transaction)
  })

async function sendQueued(context: Context, mail: Mail, transaction: Transaction): Promise<void> {
  const { mail: settings, origin } = context.config
  if (!settings)
    return void (await mail.update({ state: 'failed', problem: 'This installation sends no mail.' }, { transaction }))
  const transport = new MailTransport(settings)
  try {
    const { subject, text, html, toMail } = opened(context, mail)
    const { toName, replyTo } = mail
    const sent = await transport.send({
      subject,
      text,
      html,
      to: { name: toName, address: toMail },
      fromName: mail.fromName || (await agencyName(transaction)),
      replyTo,
      messageId: `<${mail.id}@${new URL(origin).hostname}>`,
    })
    const tries = mail.tries + 1
    if (sent.how === 'sent')
      await mail.update(
        { state: 'sent', sentAt: new Date(), tries, problem: null, ...forgotten(mail) },
        { transaction },
      )
    else if (sent.how === 'bounced' || tries >= MOST_TRIES) {
      const problem = sent.problem
      await mail.update({ state: sent.how === 'bounced' ? 'bounced' : 'failed', tries, problem }, { transaction })
      // Of visitors nothing is written into the time line: it outlives what they sent.
      if (!mail.leadIds.length)
        await record('mail-failed', { data: { to: mail.toMail, problem, sheetId: mail.sheetId } }, transaction)
    } else await mail.update({ tries, problem: sent.problem }, { transaction })
  } finally {
    transport.close()
  }
}

/** What a mail says, where it is sealed. */
function opened({ config }: Context, mail: Mail): Pick<Mail, 'subject' | 'text' | 'html' | 'toMail'> {
  if (!mail.leadIds.length) return mail
  const read = (stored: string) => unseal(stored, config.leadsKey)
  return { subject: read(mail.subject), text: read(mail.text), html: read(mail.html), toMail: read(mail.toMail) }
}

/** What a visitor wrote stands in their lead, and no longer in a mail that is gone. */
const forgotten = ({ leadIds }: Mail) =>
  leadIds.length ? { subject: '', text: '', html: '', toMail: '', toName: '' } : {}

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
