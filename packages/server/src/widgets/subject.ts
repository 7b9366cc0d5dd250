import type { Subject } from '../subject'
import { emptied, putAwayAndNotes, releaseNames } from './migration'
import { defineWidgets } from './models'
import { widgetRoutes } from './routes'

export const widgets: Subject = {
  name: 'widgets',
  migrations: [releaseNames, emptied, putAwayAndNotes],
  models: defineWidgets,
  routes: widgetRoutes,
}
