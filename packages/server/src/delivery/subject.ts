import { job, work } from '../platform/queue'
import type { Subject } from '../subject'
import { defineDelivery } from './models'
import { keepScriptVersion, scriptVersions } from './script-versions'
import { recomputeJob } from './queue-recompute'
import { recompute } from './recompute'
import { followRenderer } from './renderer-version'
import { renderingNumbers } from './rendering-order'
import { stagePageRoute } from './stage-page'
import { forgetOldPayloads } from './store-artefacts'

const artefactsTidy = job<Record<string, never>>('artefacts-tidy')

export const delivery: Subject = {
  name: 'delivery',
  migrations: [scriptVersions, renderingNumbers],
  models: defineDelivery,
  routes: stagePageRoute,
  work: [
    work(recomputeJob, { seconds: 120, atOnce: 4 }, (context, { widgetId, within }) =>
      recompute(context, widgetId, within),
    ),
    work(artefactsTidy, { seconds: 300, cron: '23 3 * * *' }, async () => void (await forgetOldPayloads())),
  ],
  async begin(context) {
    await followRenderer(context)
    await keepScriptVersion()
  },
}
