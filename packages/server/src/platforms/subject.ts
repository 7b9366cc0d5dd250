import type { Subject } from '../subject'
import { platformRoutes } from './routes'

export const platforms: Subject = { name: 'platforms', routes: platformRoutes }
