import { recomputeJob } from '../artefacts/queue-recompute'
import { work } from '../platform/queue'
import type { Subject } from '../subject'
import { recompute } from './recompute'
import { followRenderer } from './renderer-version'

export const delivery: Subject = {
  name: 'delivery',
  work: [
    work(recomputeJob, { seconds: 120, atOnce: 4 }, (context, { widgetId, within }) =>
      recompute(context, widgetId, within),
    ),
  ],
  begin: followRenderer,
}
