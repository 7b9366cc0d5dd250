import type { Subject } from '../subject'
import { heldAndSwapped, plannedBy } from './migration'
import { defineInstalls } from './models'
import { installRoutes } from './routes'

export const installs: Subject = {
  name: 'installs',
  migrations: [heldAndSwapped, plannedBy],
  models: defineInstalls,
  routes: installRoutes,
}
