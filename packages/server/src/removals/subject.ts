import { job, work } from '../platform/queue'
import type { Subject } from '../subject'
import { forgetRemovals } from './forget'
import { defineRemovals } from './models'
import { removalRoutes } from './routes'

const removalsTidy = job<Record<string, never>>('removals-tidy')

export const removals: Subject = {
  name: 'removals',
  models: defineRemovals,
  routes: removalRoutes,
  work: [work(removalsTidy, { seconds: 300, cron: '37 3 * * *' }, async () => void (await forgetRemovals()))],
}
