import type { Subject } from '../subject'
import { defineSites } from './models'
import { siteRoutes } from './routes'

export const sites: Subject = { name: 'sites', models: defineSites, routes: siteRoutes }
