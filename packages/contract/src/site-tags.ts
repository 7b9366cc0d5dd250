import { Id, IdParams } from './fields'
import { route } from './route'

/** The kind under which a site's tag stands in the register. It is no kind of widget: nothing is drawn. */
export const SITE_TAG = 'site-tag'

export const siteTagRoutes = {
  plan: route({
    method: 'POST',
    path: '/api/sites/:id/tag',
    may: 'member',
    summary: 'Plan the tag of a site: one script on every page, which brings what is planned there',
    params: IdParams,
    answer: Id,
  }),
}
