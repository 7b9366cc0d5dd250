import type { Subject } from '../subject'
import { visitExpectations } from './migration'
import { defineRehearsals } from './models'
import { rehearsalRoutes } from './routes'

/** What a visitor meets over the pages of a site, played beforehand. */
export const rehearsals: Subject = {
  name: 'rehearsals',
  migrations: [visitExpectations],
  models: defineRehearsals,
  routes: rehearsalRoutes,
}
