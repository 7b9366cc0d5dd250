import type { Subject } from '../subject'
import { emptied, releaseNames } from './migration'
import { defineWidgets } from './models'
import { widgetRoutes } from './routes'

export const widgets: Subject = {
  name: 'widgets',
  migrations: [releaseNames, emptied],
  models: defineWidgets,
  routes: widgetRoutes,
}
