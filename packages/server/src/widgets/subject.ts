import type { Subject } from '../subject'
import { releaseNames } from './migration'
import { defineWidgets } from './models'
import { widgetRoutes } from './routes'

export const widgets: Subject = {
  name: 'widgets',
  migrations: [releaseNames],
  models: defineWidgets,
  routes: widgetRoutes,
}
