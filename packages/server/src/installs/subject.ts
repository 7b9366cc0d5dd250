import type { Subject } from '../subject'
import { heldAndSwapped, plannedBy } from './migration'
import { defineInstalls } from './models'
import { installRoutes } from './routes'
import { siteTagRoutes } from './tag-routes'

export const installs: Subject = {
  name: 'installs',
  migrations: [heldAndSwapped, plannedBy],
  models: defineInstalls,
  routes(serve, context) {
    installRoutes(serve, context)
    siteTagRoutes(serve, context)
  },
}
