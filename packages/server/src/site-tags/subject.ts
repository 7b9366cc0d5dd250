import type { Subject } from '../subject'
import { siteTagRoutes } from './routes'

export const siteTags: Subject = {
  name: 'site-tags',
  routes: siteTagRoutes,
}
