import { routes } from '@pebblestrand/contract'
import type { Context } from '../platform/context'
import type { Serve } from '../platform/http/serve'
import { planTag } from './plan-tag'

export function siteTagRoutes(serve: Serve, context: Context): void {
  serve(routes.siteTags.plan, async ({ params, userId }) => ({ id: (await planTag(context, params.id, userId)).id }))
}
