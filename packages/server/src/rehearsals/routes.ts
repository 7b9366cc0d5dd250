import { routes } from '@pebblestrand/contract'
import { User } from '../accounts/models'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import type { Serve } from '../platform/http/serve'
import { Page, Site } from '../sites/models'
import { VisitExpectation } from './models'
import { standingOver } from './standing'

/** Kept with one site. */
const MOST = 100

export function rehearsalRoutes(serve: Serve, context: Context): void {
  const { rehearsals } = routes
  serve(rehearsals.read, async ({ params: { id } }) => {
    const site = await Site.findByPk(id)
    if (!site) throw new AppError('not-found')
    const kept = await VisitExpectation.findAll({ where: { siteId: id }, order: [['madeAt', 'ASC']], limit: MOST })
    const people = new Map(
      (await User.findAll({ where: { id: kept.flatMap(({ madeBy }) => madeBy ?? []) } })).map((u) => [u.id, u.name]),
    )
    const pages = await Page.findAll({ where: { siteId: id }, order: ['position', 'path'], limit: 200 })
    return {
      site: site.name,
      timeZone: site.timeZone,
      language: site.language,
      pages: pages.map(({ title, path }) => ({ title, path })),
      overPage: await standingOver(context, id),
      expectations: kept.map(({ id: own, name, visit, expected, madeBy, madeAt }) => ({
        id: own,
        name,
        visit,
        expected,
        by: people.get(madeBy ?? '') ?? null,
        at: madeAt,
      })),
    }
  })
  serve(rehearsals.expect, async ({ params: { id }, body, userId }) => {
    if (!(await Site.count({ where: { id } }))) throw new AppError('not-found')
    if ((await VisitExpectation.count({ where: { siteId: id } })) >= MOST) throw new AppError('too-many-expectations')
    return { id: (await VisitExpectation.create({ siteId: id, ...body, madeBy: userId })).id }
  })
  serve(rehearsals.drop, async ({ params: { id } }) => {
    if (!(await VisitExpectation.destroy({ where: { id } }))) throw new AppError('not-found')
    return {}
  })
}
