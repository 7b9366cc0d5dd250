import { recomputeJob } from '../artefacts/queue-recompute'
import { work } from '../platform/queue'
import type { Subject } from '../subject'
import { dayTurnedJob, followDay } from './day-turned'
import { recompute } from './recompute'
import { followRenderer } from './renderer-version'

export const delivery: Subject = {
  name: 'delivery',
  work: [
    work(recomputeJob, { seconds: 120, atOnce: 4 }, (context, { widgetId, within }) =>
      recompute(context, widgetId, within),
    ),
    work(dayTurnedJob, { seconds: 120, cron: '*/10 * * * *' }, (context) => followDay(context)),
  ],
  begin: followRenderer,
}
