import { job, work } from '../platform/queue'
import type { Subject } from '../subject'
import { defineArtefacts } from './models'
import { renderingNumbers } from './rendering-order'
import { keepScriptVersion, scriptVersions } from './script-versions'
import { forgetOldPayloads } from './store-artefacts'

const artefactsTidy = job<Record<string, never>>('artefacts-tidy')

/** What installs serve, as bytes, and how a change queues that it is made anew; what makes it is `delivery/`. */
export const artefacts: Subject = {
  name: 'artefacts',
  migrations: [scriptVersions, renderingNumbers],
  models: defineArtefacts,
  work: [work(artefactsTidy, { seconds: 300, cron: '23 3 * * *' }, async () => void (await forgetOldPayloads()))],
  begin: keepScriptVersion,
}
