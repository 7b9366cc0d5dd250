import { QueryTypes } from 'sequelize'
import { agencyName } from '../accounts/setup'
import { record } from '../activity/record'
import type { Context } from '../platform/context'
import { MailTransport, type Sent } from '../platform/mail/transport'
import { afterTry, stepped, type Outcome } from '../platform/queue'
import { unseal } from '../platform/seal'
import { Mail } from './models'

// Claimed in one short statement, sent without any transaction or lock, recorded in another, and only while the claim is the newest.
// Killed between sending and recording, a mail goes out once more, under the same Message-ID.

const RETRIES = stepped(8, [1, 5, 15, 60, 180])

/** Ms for which a claim holds, and after which it is renewed: whoever was killed leaves it for so long. */
const CLAIM = { holds: 8000, renewed: 2500 }

const BEGIN = `
UPDATE mails SET claim = claim + 1, claimed_until = now() + make_interval(secs => $seconds)
WHERE id = $id AND state = 'queued' AND (claimed_until IS NULL OR claimed_until < now()) RETURNING claim`
const RENEW = `UPDATE mails SET claimed_until = now() + make_interval(secs => $seconds) WHERE id = $id AND claim = $claim`

/**
 * Sends one mail; nobody else sends it meanwhile. Who is refused for good is noted at once; anything else is tried again after a pause,
 * since a server that is away comes back.
 */
export async function sendMail(context: Context, mailId: string, now = new Date()): Promise<void> {
  const claimed = await claim(context, mailId)
  if (!claimed) return
  try {
    await note(context, claimed.mail, await hand(context, claimed.mail), now)
  } finally {
    await claimed.end()
  }
}

/** Null where it is sent, or being sent by somebody else. */
async function claim({ db, log }: Context, mailId: string): Promise<{ mail: Mail; end(): Promise<void> } | null> {
  const seconds = CLAIM.holds / 1000
  const [row] = await db.query<{ claim: number }>(BEGIN, { bind: { id: mailId, seconds }, type: QueryTypes.SELECT })
  const mail = row && (await Mail.findByPk(mailId))
  if (!row || !mail || mail.claim !== row.claim) return null
  const bind = { id: mailId, seconds, claim: row.claim }
  const timer = setInterval(
    () => void db.query(RENEW, { bind }).catch((error: Error) => log.error(error)),
    CLAIM.renewed,
  )
  return {
    mail,
    async end() {
      clearInterval(timer)
      await Mail.update({ claimedUntil: null }, { where: { id: mailId, claim: row.claim } })
    },
  }
}

/** Gives it to the mail server. */
async function hand(context: Context, mail: Mail): Promise<Sent> {
  const { mail: settings, origin } = context.config
  if (!settings) return { how: 'bounced', problem: 'This installation sends no mail.' }
  const transport = new MailTransport(settings)
  try {
    const { subject, text, html, toMail, replyTo } = opened(context, mail)
    return await transport.send({
      subject,
      text,
      html,
      to: { name: mail.toName, address: toMail },
      fromName: mail.fromName || (await agencyName()),
      replyTo,
      messageId: `<${mail.id}@${new URL(origin).hostname}>`,
    })
  } finally {
    transport.close()
  }
}

/** Writes down what became of it, where nobody else has claimed it since. */
async function note(context: Context, mail: Mail, sent: Sent, now: Date): Promise<void> {
  const { state, tries, problem, nextAt } = afterTry(RETRIES, outcomeOf(context, mail, sent), mail.tries, now)
  const change = {
    problem,
    ...(nextAt ? { nextAt } : { state: STATES[state] }),
    ...(state === 'done' ? { sentAt: new Date(), ...forgotten(mail) } : {}),
  }
  await context.db.transaction(async (transaction) => {
    const [count] = await Mail.update({ tries, ...change }, { where: { id: mail.id, claim: mail.claim }, transaction })
    // Of visitors nothing is written into the time line: it outlives what they sent.
    if (!count || state === 'waiting' || state === 'done' || mail.leadIds.length) return
    const data = { to: mail.toMail, problem, sheetId: mail.sheetId }
    await record('mail-failed', { data }, transaction)
  })
}

/** What a mail is after a try. */
const STATES = { done: 'sent', refused: 'bounced', 'given-up': 'failed', waiting: 'queued' } as const

function outcomeOf(context: Context, mail: Mail, sent: Sent): Outcome {
  if (sent.how === 'sent') return { how: 'done' }
  const problem = withoutAddresses(context, mail, sent.problem)
  return { how: sent.how === 'bounced' ? 'refused' : 'failed', problem }
}

/** What a mail says, and whom it names, where that is sealed. */
function opened({ config }: Context, mail: Mail): Pick<Mail, 'subject' | 'text' | 'html' | 'toMail' | 'replyTo'> {
  if (!mail.leadIds.length) return mail
  const read = (stored: string) => unseal(stored, config.leadsKey)
  const { subject, text, html, toMail, replyTo } = mail
  return {
    subject: read(subject),
    text: read(text),
    html: read(html),
    toMail: read(toMail),
    replyTo: replyTo === null ? null : read(replyTo),
  }
}

/** Mail servers repeat the address that they refuse: a visitor's is not written down in clear. */
function withoutAddresses(context: Context, mail: Mail, problem: string): string {
  if (!mail.leadIds.length) return problem
  const { toMail, replyTo } = opened(context, mail)
  return [toMail, replyTo].reduce<string>((text, address) => (address ? without(text, address) : text), problem)
}

function without(text: string, address: string): string {
  const at = text.toLowerCase().indexOf(address.toLowerCase())
  return at < 0 ? text : `${text.slice(0, at)}…${without(text.slice(at + address.length), address)}`
}

/** What a visitor wrote stands in their lead, and no longer in a mail that is gone. */
const forgotten = ({ leadIds }: Mail) =>
  leadIds.length ? { subject: '', text: '', html: '', toMail: '', toName: '', replyTo: null } : {}

/** Those that nobody is sending, though it is time: their job was lost, or their pause is over. Their own job has a moment first. */
const DUE = `
SELECT id FROM mails WHERE state = 'queued' AND next_at <= $now AND (claimed_until IS NULL OR claimed_until < now())
  AND (tries > 0 OR queued_at < $now::timestamptz - interval '4 seconds') ORDER BY next_at LIMIT 200`

/** Sends mails that wait. */
export async function sendWaiting(context: Context, now = new Date()): Promise<void> {
  const due = await context.db.query<{ id: string }>(DUE, { bind: { now }, type: QueryTypes.SELECT })
  for (const { id } of due) await sendMail(context, id, now)
}
