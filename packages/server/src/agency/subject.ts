import type { Subject } from '../subject'
import { creditAndStarters } from './migration'
import { defineAgency } from './models'
import { agencyRoutes } from './routes'

export const agency: Subject = {
  name: 'agency',
  migrations: [creditAndStarters],
  models: defineAgency,
  routes: agencyRoutes,
}
