import { difference, kinds } from '@pebblestrand/core/kinds'
import type { FastifyInstance } from 'fastify'
import { QueryTypes } from 'sequelize'
import { z } from 'zod'
import { userOf } from '../accounts/guard'
import { record } from '../activity/record'
import { recomputeForWidget, releasePayload } from '../delivery/compute'
import type { Context } from '../platform/context'
import { literally } from '../platform/database/like'
import { AppError } from '../platform/errors'
import { line } from '../platform/http/fields'
import { IdParams, paged, Paging, windowOf } from '../platform/http/paging'
import { parse } from '../platform/http/parse'
import { User } from '../accounts/models'
import { Source } from '../sources/models'
import { kindFor, saveDraft } from './draft'
import { Release, Widget, type Settings } from './models'
import { freeName } from './name'
import { publish } from './publish'
import { listWidgets, placesOfWidget } from './queries'

const Name = line(80)
const NewWidget = z.object({ kind: z.string(), starter: z.string().nullish(), name: Name.nullish() })
const Draft = z.object({ settings: z.record(z.string(), z.unknown()), version: z.number().int() })
const Version = z.object({ version: z.number().int() })
const Listing = Paging.extend({ q: z.string().trim().max(100).default('') })

interface ListedWidget {
  id: string
  kind: string
  name: string
  draft: Settings
  releaseSettings: Settings | null
  release: number | null
  total: number
}

export function widgetRoutes(app: FastifyInstance, context: Context): void {
  const { db } = context

  app.get('/api/widgets', async (request) => {
    const query = parse(Listing, request.query)
    const rows = await db.query<ListedWidget>(listWidgets, {
      replacements: { q: literally(query.q), ...windowOf(query) },
      type: QueryTypes.SELECT,
    })
    const { rows: shown, ...page } = paged(rows, query)
    return { rows: await Promise.all(shown.map(withPicture)), ...page }
  })

  app.post('/api/widgets', async (request) => {
    const wanted = parse(NewWidget, request.body)
    const kind = kindFor(wanted.kind)
    const starter = kind.starters.find((s) => s.id === wanted.starter)
    const userId = userOf(request).id
    const name = await freeName(wanted.name ?? `New ${kind.name.toLowerCase()}`)
    const widget = await db.transaction(async (transaction) => {
      const made = await Widget.create(
        {
          kind: kind.id,
          name,
          draft: kind.settings.parse(starter?.settings ?? {}),
          starter: starter?.id ?? null,
          createdBy: userId,
        },
        { transaction },
      )
      await record('created', { userId, widgetId: made.id }, transaction)
      return made
    })
    return { id: widget.id }
  })

  app.get('/api/widgets/:id', async (request) => describe(context, await widgetOf(request.params)))

  app.patch('/api/widgets/:id', async (request) => {
    const widget = await widgetOf(request.params)
    const { name } = parse(z.object({ name: Name }), request.body)
    const before = widget.name
    await db.transaction(async (transaction) => {
      await widget.update({ name }, { transaction })
      await record('renamed', { userId: userOf(request).id, widgetId: widget.id, data: { before, name } }, transaction)
    })
    await recomputeForWidget(context, widget.id)
    return { name }
  })

  app.put('/api/widgets/:id/draft', async (request) => {
    const widget = await saveDraft(db, await widgetOf(request.params), parse(Draft, request.body))
    return { version: widget.draftVersion, savedAt: widget.draftSavedAt, settings: widget.draft }
  })

  app.post('/api/widgets/:id/releases', async (request) => {
    const release = await publish(
      context,
      parse(IdParams, request.params).id,
      parse(Version, request.body).version,
      userOf(request).id,
    )
    return { number: release.number }
  })

  /** An older release becomes the draft again; publishing it makes a new one, so that numbers only grow. */
  app.post('/api/widgets/:id/draft/restore', async (request) => {
    const widget = await widgetOf(request.params)
    const { release, version } = parse(Version.extend({ release: z.number().int() }), request.body)
    const old = await Release.findOne({ where: { widgetId: widget.id, number: release } })
    if (!old) throw new AppError('not-found')
    const noted = { userId: userOf(request).id, widgetId: widget.id, data: { number: release } }
    const saved = await saveDraft(db, widget, { settings: old.settings, version }, (transaction) =>
      record('restored', noted, transaction),
    )
    return { version: saved.draftVersion, savedAt: saved.draftSavedAt, settings: saved.draft }
  })

  app.get('/api/kinds', () => ({
    rows: Object.values(kinds).map(({ id, name, purpose, starters }) => ({ id, name, purpose, starters })),
  }))
}

async function widgetOf(params: unknown): Promise<Widget> {
  const widget = await Widget.findByPk(parse(IdParams, params).id)
  if (!widget) throw new AppError('not-found')
  return widget
}

/** A thumbnail is the real thing: the payload of the newest release, else of the draft. */
async function withPicture(row: Omit<ListedWidget, 'total'>) {
  const { draft, releaseSettings, ...shown } = row
  const changes = releaseSettings
    ? difference(kindFor(row.kind), releaseSettings, draft, { sourceNames: {} }).length
    : 0
  const payload = await releasePayload(Widget.build(row as never), {
    number: row.release ?? 0,
    settings: releaseSettings ?? draft,
  })
  return { ...shown, changes, settings: releaseSettings ?? draft, payload }
}

async function describe({ db }: Context, widget: Widget) {
  const releases = await Release.findAll({ where: { widgetId: widget.id }, order: [['number', 'DESC']], limit: 100 })
  const people = new Map(
    (await User.findAll({ where: { id: releases.flatMap((r) => r.publishedBy ?? []) } })).map((u) => [u.id, u.name]),
  )
  const used = [widget.draft, ...releases.map((r) => r.settings)].flatMap(
    (s) => (s.sources as string[] | undefined) ?? [],
  )
  const sources = await Source.findAll({ where: { id: [...new Set(used)] } })
  const places = await db.query<{ siteId: string }>(placesOfWidget, {
    replacements: { widgetId: widget.id },
    type: QueryTypes.SELECT,
  })
  return {
    id: widget.id,
    kind: widget.kind,
    name: widget.name,
    starter: widget.starter,
    draft: { settings: widget.draft, version: widget.draftVersion, savedAt: widget.draftSavedAt },
    releases: releases.map((r) => ({
      number: r.number,
      settings: r.settings,
      publishedAt: r.publishedAt,
      by: people.get(r.publishedBy ?? '') ?? null,
    })),
    sources: sources.map((s) => ({
      id: s.id,
      title: s.title,
      link: s.link,
      url: s.url,
      problem: s.problem,
      okAt: s.okAt,
      intervalMinutes: s.intervalMinutes,
    })),
    places,
  }
}
