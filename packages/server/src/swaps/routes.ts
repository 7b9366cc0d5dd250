import { routes } from '@pebblestrand/contract'
import { describeInstall } from '../installs/describe'
import type { Context } from '../platform/context'
import type { Serve } from '../platform/http/serve'
import { dropSwap, planSwap } from './plan-swap'
import { swapNow } from './swap'

export function swapRoutes(serve: Serve, context: Context): void {
  const { installs } = routes
  serve(installs.swap, async ({ params: { id }, body: { widgetId }, userId }) => {
    await swapNow(context, id, widgetId, userId)
    return describeInstall(context, id)
  })
  serve(installs.planSwap, async ({ params: { id }, body, userId }) => {
    await planSwap(context, id, body, userId)
    return describeInstall(context, id)
  })
  serve(installs.dropSwap, async ({ params: { id, swapId }, userId }) => {
    await dropSwap(context, id, swapId, userId)
    return describeInstall(context, id)
  })
}
