import type { Subject } from '../subject'
import { creditAndStarters } from './migration'
import { agencyRoutes } from './routes'

export const agency: Subject = {
  name: 'agency',
  migrations: [creditAndStarters],
  routes: agencyRoutes,
}
