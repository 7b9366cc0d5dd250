import type { Subject } from '../subject'
import { work } from '../platform/queue'
import { mailClaims, mails } from './migration'
import { defineMail } from './models'
import { sendJob } from './queue-mail'
import { mailRoutes } from './routes'
import { sendMail, sendWaiting } from './send'

/** Ms between two looks for mails that wait: after a start, what a killed process left behind goes out within ten seconds. */
const LOOK_MS = 4000

export const mail: Subject = {
  name: 'mail',
  migrations: [mails, mailClaims],
  models: defineMail,
  routes: mailRoutes,
  work: [work(sendJob, { seconds: 120, atOnce: 2 }, (context, { mailId }) => sendMail(context, mailId))],
  async begin(context) {
    if (context.config.role === 'web') return
    let looking = Promise.resolve()
    let isLooking = false
    const look = () => {
      if (isLooking) return
      isLooking = true
      looking = sendWaiting(context)
        .catch((error: Error) => context.log.error(error))
        .finally(() => (isLooking = false))
    }
    const timer = setInterval(look, LOOK_MS)
    return async () => {
      clearInterval(timer)
      await looking
    }
  },
}
