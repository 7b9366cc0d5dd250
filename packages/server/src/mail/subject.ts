import { job, work } from '../platform/queue'
import type { Subject } from '../subject'
import { mails } from './migration'
import { defineMail } from './models'
import { sendJob } from './queue-mail'
import { mailRoutes } from './routes'
import { sendMail, sendWaiting } from './send'

const mailAgain = job<Record<string, never>>('mail-again')

export const mail: Subject = {
  name: 'mail',
  migrations: [mails],
  models: defineMail,
  routes: mailRoutes,
  work: [
    work(sendJob, { atOnce: 2 }, (context, { mailId }) => sendMail(context, mailId)),
    work(mailAgain, { cron: '* * * * *' }, (context) => sendWaiting(context)),
  ],
}
