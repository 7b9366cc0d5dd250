import type { Subject } from '../subject'
import { findRoutes } from './routes'

export const find: Subject = { name: 'find', routes: findRoutes }
