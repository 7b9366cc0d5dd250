import type { DeliveryWhat } from '@pebblestrand/contract'
import type { Letter } from '@pebblestrand/core/letter'
import type { Transaction } from 'sequelize'
import { queueMail } from '../mail/queue-mail'
import type { Context } from '../platform/context'
import { seal } from '../platform/seal'
import type { Told } from './who-is-told'

export const leadMailKind = (what: Exclude<DeliveryWhat, 'webhook'>) => `lead-${what}`

/** Queues a mail that tells of leads. What it says, and whom it goes to, is sealed while it waits and gone once it is sent. */
export async function queueLeadMail(
  context: Context,
  {
    what,
    leadIds,
    to,
    letter,
    fromName = '',
    replyTo = null,
    now,
  }: {
    what: Exclude<DeliveryWhat, 'webhook'>
    leadIds: readonly string[]
    to: Told
    letter: Letter
    fromName?: string
    replyTo?: string | null
    now: Date
  },
  transaction: Transaction,
): Promise<void> {
  const hide = (text: string) => seal(text, context.config.leadsKey)
  await queueMail(
    context,
    {
      kind: leadMailKind(what),
      leadIds: [...leadIds],
      toName: to.name,
      toMail: hide(to.mail),
      fromName,
      replyTo: replyTo === null ? null : hide(replyTo),
      subject: hide(letter.subject),
      text: hide(letter.text),
      html: hide(letter.html),
      queuedAt: now,
    },
    transaction,
  )
}
