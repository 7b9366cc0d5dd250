import type { Subject } from '../subject'
import { ownProfiles } from './migration'
import { definePlatforms } from './models'
import { platformRoutes } from './routes'

export const platforms: Subject = {
  name: 'platforms',
  migrations: [ownProfiles],
  models: definePlatforms,
  routes: platformRoutes,
}
