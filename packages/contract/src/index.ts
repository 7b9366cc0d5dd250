import { accountRoutes } from './accounts'
import { checkRoutes } from './checks'
import { findRoutes } from './find'
import { installRoutes } from './installs'
import { keptReviewRoutes } from './kept-reviews'
import { removalRoutes } from './removals'
import { siteReadingRoutes } from './site-readings'
import { siteRoutes } from './sites'
import { sourceRoutes } from './sources'
import { stageRoutes } from './stage'
import { todayRoutes } from './today'
import { widgetRoutes } from './widgets'

/** Every route there is, by subject. */
export const routes = {
  accounts: accountRoutes,
  today: todayRoutes,
  sites: siteRoutes,
  siteReadings: siteReadingRoutes,
  sources: sourceRoutes,
  keptReviews: keptReviewRoutes,
  widgets: widgetRoutes,
  stage: stageRoutes,
  installs: installRoutes,
  checks: checkRoutes,
  find: findRoutes,
  removals: removalRoutes,
}

export * from './route'
export * from './accounts'
export * from './checks'
export * from './fields'
export * from './find'
export * from './findings'
export * from './installs'
export * from './kept-reviews'
export * from './look'
export * from './removals'
export * from './site-fields'
export * from './site-readings'
export * from './sites'
export * from './sources'
export * from './stage'
export * from './today'
export * from './widgets'
