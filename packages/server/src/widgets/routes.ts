import { routes } from '@pebblestrand/contract'
import { kindList } from '@pebblestrand/core/kinds'
import { QueryTypes } from 'sequelize'
import { record } from '../activity/record'
import { recomputeWidget } from '../artefacts/queue-recompute'
import type { Context } from '../platform/context'
import { literally } from '../platform/database/like'
import { AppError } from '../platform/errors'
import { paged } from '../platform/http/paging'
import type { Serve } from '../platform/http/serve'
import { describeListed, describeWidget, type ListedWidget } from './describe-widget'
import { describeDraft, saveDraft, settingsOf } from './draft'
import { copyWidget, makeWidget } from './make'
import { Release, Widget } from './models'
import { publish } from './publish'
import { widgetNamed } from './name'
import { brokenByPublishing } from '../rehearsals/broken'
import { whatPublishingChanges } from './publishing'
import { listFilters, listWidgets } from './queries'

export function widgetRoutes(serve: Serve, context: Context): void {
  const { db } = context

  serve(routes.widgets.list, async ({ query }) => {
    const { rows: shown, ...page } = await paged(query, (window) =>
      db.query<ListedWidget & { total: number }>(listWidgets, {
        replacements: { ...query, q: literally(query.q), ...window },
        type: QueryTypes.SELECT,
      }),
    )
    return { rows: await describeListed(shown), ...page }
  })

  serve(routes.widgets.make, async ({ body, userId }) => ({ id: (await makeWidget(context, body, userId)).id }))

  serve(routes.widgets.read, async ({ params }) => describeWidget(context, await widgetOf(params.id)))

  serve(routes.widgets.rename, async ({ params, body: { name }, userId }) => {
    const widget = await widgetOf(params.id)
    const before = widget.name
    await db.transaction(async (transaction) => {
      await widget.update({ name }, { transaction })
      await record('renamed', { userId, widgetId: widget.id, data: { before, name } }, transaction)
      await recomputeWidget(context, widget.id, transaction)
    })
    return { name }
  })

  serve(routes.widgets.saveDraft, async ({ params, body }) =>
    describeDraft(await saveDraft(context, await widgetOf(params.id), body)),
  )

  serve(routes.widgets.publish, async ({ params, body, userId }) => {
    const [broken] = body.despite ? [] : await brokenByPublishing(context, params.id)
    if (broken) {
      const message = `“${broken.name}”, kept with ${broken.site}, would no longer go as expected: ${broken.says}`
      throw new AppError('expectations-unmet', { message })
    }
    return { number: (await publish(context, params.id, body.version, userId, body.note)).number }
  })

  serve(routes.widgets.publishing, async ({ params }) => whatPublishingChanges(context, await widgetOf(params.id)))

  /** Words put with a release are not part of it: they may change. */
  serve(routes.widgets.noteRelease, async ({ params, body: { note } }) => {
    const release = await Release.findOne({ where: { widgetId: params.id, number: params.number } })
    if (!release) throw new AppError('not-found')
    await release.update({ note })
    return { note }
  })

  serve(routes.widgets.copy, async ({ params, userId }) => ({
    id: (await copyWidget(context, await widgetOf(params.id), userId)).id,
  }))

  serve(routes.widgets.away, async ({ params, body: { away }, userId }) => {
    const widget = await widgetOf(params.id)
    await db.transaction(async (transaction) => {
      await widget.update({ putAwayAt: away ? (widget.putAwayAt ?? new Date()) : null }, { transaction })
      await record(away ? 'put-away' : 'taken-back', { userId, widgetId: widget.id }, transaction)
    })
    return { away }
  })

  serve(routes.widgets.named, async ({ query: { name, except } }) => ({ widget: await widgetNamed(name, except) }))

  serve(routes.widgets.filters, async () => {
    const [values] = await db.query<{ clients: string[]; kinds: string[] }>(listFilters, { type: QueryTypes.SELECT })
    return values!
  })

  /** Publishing it makes a new one, so that numbers only grow. */
  serve(routes.widgets.restore, async ({ params, body: { release, version }, userId }) => {
    const widget = await widgetOf(params.id)
    const old = await Release.findOne({ where: { widgetId: widget.id, number: release } })
    if (!old) throw new AppError('not-found')
    const noted = { userId, widgetId: widget.id, data: { number: release } }
    const settings = settingsOf(widget.kind, old)
    return describeDraft(
      await saveDraft(context, widget, { settings, version }, (transaction) => record('restored', noted, transaction)),
    )
  })

  serve(routes.widgets.kinds, () => ({
    rows: Object.values(kindList).map(({ id, name, purpose, starters }) => ({ id, name, purpose, starters })),
  }))
}

async function widgetOf(id: string): Promise<Widget> {
  const widget = await Widget.findByPk(id)
  if (!widget) throw new AppError('not-found')
  return widget
}
