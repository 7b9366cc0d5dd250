import { routes } from '@pebblestrand/contract'
import type { Context } from '../../platform/context'
import { inSteps } from '../../platform/http/in-steps'
import type { Serve } from '../../platform/http/serve'
import { bringFeeds, listOf, readList } from './bring'

/** Lists of feeds, as readers save them. */
export function feedListRoutes(serve: Serve, context: Context): void {
  const { feedLists } = routes
  serve(feedLists.read, ({ body }) => readList(context, body.text))
  serve(feedLists.bring, ({ body, request, reply }) =>
    inSteps(request, reply, (tell) => bringFeeds(context, body, tell)),
  )
  serve(feedLists.save, async ({ query, reply }) =>
    reply
      .type('text/x-opml; charset=utf-8')
      .header('content-disposition', 'attachment; filename="feeds.opml"')
      .send(await listOf(query.ids)),
  )
}
