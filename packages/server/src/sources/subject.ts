import { job, work } from '../platform/queue'
import type { Subject } from '../subject'
import { feedListRoutes } from './feed-lists/routes'
import { cut, facts, folder, profile, rating, readings, renewals, services } from './migration'
import { REQUESTS_PER_HOST } from '../platform/outbound/client'
import { keptReviewRoutes } from './kept-here/routes'
import { defineSources } from './models'
import { pickRoutes } from './picks/routes'
import { queueDue, refreshJob, refreshSource } from './refresh'
import { sourceRoutes } from './routes'

const sourcesDue = job<Record<string, never>>('sources-due')

export const sources: Subject = {
  name: 'sources',
  migrations: [cut, rating, services, profile, folder, readings, renewals, facts],
  models: defineSources,
  routes(serve, context) {
    sourceRoutes(serve, context)
    keptReviewRoutes(serve, context)
    pickRoutes(serve, context)
    feedListRoutes(serve, context)
  },
  work: [
    work(refreshJob, { seconds: 120, atOnce: 8, each: REQUESTS_PER_HOST }, (context, { sourceId }) =>
      refreshSource(context, sourceId),
    ),
    work(sourcesDue, { seconds: 60, cron: '* * * * *' }, queueDue),
  ],
}
