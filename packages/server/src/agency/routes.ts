import { routes } from '@pebblestrand/contract'
import { designOf, kindOf, readSettings, readStarterFile, starterFile } from '@pebblestrand/core/kinds'
import { recomputeCredited } from '../artefacts/queue-recompute'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import type { Serve } from '../platform/http/serve'
import { draftOf, kindFor } from '../widgets/draft'
import { Widget } from '../widgets/models'
import { AgencyStarter } from '../widgets/agency-starters'
import { agencySettings, keepAgencySettings } from '../accounts/agency-settings'

export function agencyRoutes(serve: Serve, context: Context): void {
  const { agency } = routes

  serve(agency.read, () => agencySettings())

  serve(agency.change, ({ body }) =>
    context.db.transaction(async (transaction) => {
      const before = await agencySettings(transaction)
      await keepAgencySettings(body, transaction)
      if (JSON.stringify(before.credit) !== JSON.stringify(body.credit)) await recomputeCredited(context, transaction)
      return body
    }),
  )

  serve(agency.starters, async () => {
    const rows = await AgencyStarter.findAll({ order: [['madeAt', 'DESC']], limit: 200 })
    return {
      rows: rows.flatMap(({ id, kind: kindId, name, settings, kindVersion }) => {
        const kind = kindOf(kindId)
        return kind
          ? [{ id, kind: kindId, name, settings: designOf(kind, readSettings(kind, settings, kindVersion)) }]
          : []
      }),
    }
  })

  serve(agency.keepStarter, async ({ body: { widgetId, name }, userId }) => {
    const widget = await Widget.findByPk(widgetId)
    if (!widget) throw new AppError('not-found')
    const kind = kindFor(widget.kind)
    const settings = designOf(kind, draftOf(widget))
    return keep({ kind: kind.id, kindVersion: kind.version, name, settings }, userId)
  })

  serve(agency.bringStarter, async ({ body: { text }, userId }) => {
    const read = readStarterFile(text)
    if (read.kind === 'fault')
      throw new AppError('invalid', {
        message: `The file ${read.message}.`,
        issues: [{ field: 'text', message: read.message }],
      })
    const { of, name, settings } = read
    return keep({ kind: of.id, kindVersion: of.version, name, settings }, userId)
  })

  serve(agency.starterFile, async ({ params, reply }) => {
    const { kind, name, settings, kindVersion } = await starterOf(params.id)
    const known = kindFor(kind)
    const file = starterFile(known, name, readSettings(known, settings, kindVersion))
    return reply
      .type('application/json; charset=utf-8')
      .header('content-disposition', `attachment; filename="${fileName(name)}.starter.json"`)
      .send(`${JSON.stringify(file, null, 2)}\n`)
  })

  serve(agency.dropStarter, async ({ params }) => {
    await (await starterOf(params.id)).destroy()
    return { done: true as const }
  })
}

async function keep(
  starter: Pick<AgencyStarter, 'kind' | 'kindVersion' | 'name' | 'settings'>,
  userId: string | null,
): Promise<{ id: string }> {
  return { id: (await AgencyStarter.create({ ...starter, madeBy: userId })).id }
}

async function starterOf(id: string): Promise<AgencyStarter> {
  const starter = await AgencyStarter.findByPk(id)
  if (!starter) throw new AppError('not-found')
  return starter
}

/** Letters that every file system takes (a header's quoted string takes ASCII, RFC 9110 section 5.6.4). */
const fileName = (name: string) =>
  name
    .normalize('NFKD')
    .replace(/[^\w -]/g, '')
    .trim()
    .replace(/\s+/g, '-')
    .toLowerCase() || 'starter'
