import type { CreationAttributes, Transaction } from 'sequelize'
import type { Context } from '../platform/context'
import { job } from '../platform/queue'
import { Mail } from './models'

export const sendJob = job<{ mailId: string }>('send-mail')

/** Puts a mail out to be sent, in the transaction that it tells of. */
export async function queueMail(
  { queue }: Pick<Context, 'queue'>,
  written: Pick<CreationAttributes<Mail>, 'kind' | 'toMail' | 'subject' | 'text' | 'html'> &
    Partial<CreationAttributes<Mail>>,
  transaction: Transaction,
): Promise<Mail> {
  const mail = await Mail.create(written, { transaction })
  await queue.sendMany(sendJob, [{ mailId: mail.id }], transaction)
  return mail
}
