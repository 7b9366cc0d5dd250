import type { Subject } from '../subject'
import { defineInstalls } from './models'
import { installRoutes } from './routes'

export const installs: Subject = { name: 'installs', models: defineInstalls, routes: installRoutes }
