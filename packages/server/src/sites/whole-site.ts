import type { Transaction } from 'sequelize'
import { Page, Site } from './models'

/** The pattern that means every page. */
export const EVERY_PAGE = '/*'

/** The page row that stands for the whole of a site; made where there is none yet. */
export async function wholeSite(siteId: string, transaction?: Transaction): Promise<Page> {
  const [page] = await Page.findOrCreate({
    where: { siteId, path: EVERY_PAGE },
    defaults: {
      siteId,
      path: EVERY_PAGE,
      title: 'Every page',
      position: await Page.count({ where: { siteId }, transaction }),
    },
    transaction,
  })
  return page.reload({ include: Site, transaction })
}
