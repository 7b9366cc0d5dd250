import { accountRoutes } from './accounts'
import { agencyRoutes } from './agency'
import { checkRoutes } from './checks'
import { contactRoutes } from './contacts'
import { feedListRoutes } from './feed-lists'
import { findRoutes } from './find'
import { formRoutes } from './forms'
import { handoverRoutes } from './handover'
import { installRoutes } from './installs'
import { keptReviewRoutes } from './kept-reviews'
import { leadRoutes } from './leads'
import { mailRoutes } from './mail'
import { pickRoutes } from './picks'
import { pictureRoutes } from './pictures'
import { platformRoutes } from './platforms'
import { rehearsalRoutes } from './rehearsals'
import { removalRoutes } from './removals'
import { siteLookRoutes } from './site-looks'
import { siteReadingRoutes } from './site-readings'
import { siteTagRoutes } from './site-tags'
import { siteRoutes } from './sites'
import { sourceRoutes } from './sources'
import { stageRoutes } from './stage'
import { todayRoutes } from './today'
import { widgetRoutes } from './widgets'

/** Every route there is, by subject. */
export const routes = {
  accounts: accountRoutes,
  agency: agencyRoutes,
  today: todayRoutes,
  sites: siteRoutes,
  siteLooks: siteLookRoutes,
  siteReadings: siteReadingRoutes,
  siteTags: siteTagRoutes,
  platforms: platformRoutes,
  sources: sourceRoutes,
  keptReviews: keptReviewRoutes,
  picks: pickRoutes,
  pictures: pictureRoutes,
  feedLists: feedListRoutes,
  widgets: widgetRoutes,
  stage: stageRoutes,
  forms: formRoutes,
  leads: leadRoutes,
  installs: installRoutes,
  checks: checkRoutes,
  contacts: contactRoutes,
  handover: handoverRoutes,
  mail: mailRoutes,
  find: findRoutes,
  rehearsals: rehearsalRoutes,
  removals: removalRoutes,
}

export * from './route'
export * from './accounts'
export * from './agency'
export * from './checks'
export * from './contacts'
export * from './feed-lists'
export * from './fields'
export * from './find'
export * from './findings'
export * from './forms'
export * from './handover'
export * from './leads'
export * from './installs'
export * from './kept-reviews'
export * from './look'
export * from './mail'
export * from './picks'
export * from './pictures'
export * from './platforms'
export * from './rehearsals'
export * from './removals'
export * from './site-fields'
export * from './site-looks'
export * from './site-readings'
export * from './site-tags'
export * from './sites'
export * from './sources'
export * from './stage'
export * from './today'
export * from './widgets'
