import { job, work } from '../platform/queue'
import type { Subject } from '../subject'
import { VISIT } from '../platform/browser/pool'
import { REQUESTS_PER_HOST } from '../platform/outbound/client'
import { lookAtPage, lookInBrowserToo } from './look-at-page'
import { endLostChecks } from './lost'
import { tidyHistory } from './history'
import { browserLookJob, LOOK_SECONDS, lookJob } from '../findings/queue-check'
import { beginDaily } from './rounds'
import { checkRoutes } from './routes'
import { stagePageRoute } from './stage-page'

/** Everything is looked at once a day, before people begin. */
const dailyRound = job<Record<string, never>>('daily-round')
/** Before the daily round adds to it. */
const historyTidied = job<Record<string, never>>('history-tidied')
const checksLost = job<Record<string, never>>('checks-lost')

export const checks: Subject = {
  name: 'checks',
  routes(serve, context) {
    checkRoutes(serve, context)
    stagePageRoute(serve, context)
  },
  work: [
    work(lookJob, { seconds: LOOK_SECONDS, atOnce: 18, each: REQUESTS_PER_HOST }, (context, { pageId }) =>
      lookAtPage(context, pageId),
    ),
    work(browserLookJob, { seconds: LOOK_SECONDS, atOnce: VISIT.atOnce, each: 1 }, (context, { pageId }) =>
      lookInBrowserToo(context, pageId),
    ),
    work(dailyRound, { seconds: 120, cron: '10 4 * * *' }, beginDaily),
    work(historyTidied, { seconds: 120, cron: '40 3 * * *' }, (context, _data, time) =>
      tidyHistory(context, new Date(), time),
    ),
    work(checksLost, { seconds: 60, cron: '*/5 * * * *' }, endLostChecks),
  ],
}
