import type { Subject } from '../subject'
import { heldAndSwapped } from './migration'
import { defineInstalls } from './models'
import { installRoutes } from './routes'

export const installs: Subject = {
  name: 'installs',
  migrations: [heldAndSwapped],
  models: defineInstalls,
  routes: installRoutes,
}
