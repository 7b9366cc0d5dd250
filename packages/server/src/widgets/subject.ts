import type { Subject } from '../subject'
import { defineAgencyStarters } from './agency-starters'
import { emptied, putAwayAndNotes, releaseNames, unfinished } from './migration'
import { defineWidgets } from './models'
import { widgetRoutes } from './routes'

export const widgets: Subject = {
  name: 'widgets',
  migrations: [releaseNames, emptied, putAwayAndNotes, unfinished],
  models(db) {
    defineWidgets(db)
    defineAgencyStarters(db)
  },
  routes: widgetRoutes,
}
