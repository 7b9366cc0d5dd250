import type { Sequelize } from 'sequelize'
import { job, work } from '../platform/queue'
import type { Subject } from '../subject'
import { siteLookRoutes } from './look/routes'
import { lookChanged, pageLanguage, siteReadings } from './migration'
import { defineSites } from './models'
import { carryOutReading, forgetReadings, readSiteJob } from './reading/job'
import { defineSiteReadings } from './reading/models'
import { siteReadingRoutes } from './reading/routes'
import { siteRoutes } from './routes'

const readingsForgotten = job<Record<string, never>>('site-readings-forgotten')

export const sites: Subject = {
  name: 'sites',
  migrations: [siteReadings, lookChanged, pageLanguage],
  models(db: Sequelize) {
    defineSites(db)
    defineSiteReadings(db)
  },
  routes(serve, context) {
    siteRoutes(serve, context)
    siteReadingRoutes(serve, context)
    siteLookRoutes(serve, context)
  },
  work: [
    work(readSiteJob, { seconds: 300, atOnce: 2, each: 1 }, (context, { readingId }) =>
      carryOutReading(context, readingId),
    ),
    work(readingsForgotten, { seconds: 60, cron: '17 3 * * *' }, forgetReadings),
  ],
}
