import { routes } from '@pebblestrand/contract'
import type { Context } from '../../platform/context'
import type { Serve } from '../../platform/http/serve'
import { describeSource } from '../describe-source'
import { storedEntries } from '../store-items'
import { asBookmarks, importBookmarks } from './bookmarks'
import { beginCollection, collectionOf } from './collection'
import { dropPick, movePick, putPick } from './pick'
import { readPage } from './read-page'

/** Collections that are made by hand. */
export function pickRoutes(serve: Serve, context: Context): void {
  const { picks } = routes
  serve(picks.begin, async ({ body: { title } }) => describeSource(context.db, await beginCollection(context, title)))
  serve(picks.put, async ({ params, body }) => putPick(context, await collectionOf(params.id), body))
  serve(picks.drop, async ({ params, body }) => dropPick(context, await collectionOf(params.id), body.key))
  serve(picks.move, async ({ params, body: { key, to } }) => {
    await movePick(context, await collectionOf(params.id), key, to)
    return {}
  })
  serve(picks.readPage, ({ body }) => readPage(context, body.address))
  serve(picks.readBookmarks, async ({ params, body }) => importBookmarks(context, await collectionOf(params.id), body))
  serve(picks.saveBookmarks, async ({ params, reply }) => {
    const source = await collectionOf(params.id)
    const [stored] = await storedEntries([source.id])
    return reply
      .type('text/html; charset=utf-8')
      .header('content-disposition', 'attachment; filename="bookmarks.html"')
      .send(asBookmarks(source, stored!.entries))
  })
}
