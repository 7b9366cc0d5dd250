import type { Subject } from '../subject'
import { todayRoutes } from './routes'

export const today: Subject = { name: 'today', routes: todayRoutes }
