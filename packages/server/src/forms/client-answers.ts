import { leadLines } from '@pebblestrand/core/forms'
import { dateFormat } from '@pebblestrand/core/words'
import { Op, QueryTypes } from 'sequelize'
import type { Context } from '../platform/context'
import { contentOf } from './lead-content'
import { formsOfLeads } from './list-leads'
import { Lead } from './models'

/** Answers on a client's own page; older ones are at the agency. */
const MOST = 100

const PASSED_ON = `SELECT widget_id AS id FROM forms WHERE (delivery ->> 'onClientPage')::boolean`

/** What visitors of a site wrote into those forms whose answers its client reads. */
export async function answersForClient(
  { db, config }: Context,
  site: { id: string; timeZone: string },
  language: string,
) {
  const forms = await db.query<{ id: string }>(PASSED_ON, { type: QueryTypes.SELECT })
  if (!forms.length) return []
  const leads = await Lead.findAll({
    where: { siteId: site.id, widgetId: forms.map(({ id }) => id), state: { [Op.in]: ['new', 'done'] }, isTest: false },
    order: [['at', 'DESC']],
    limit: MOST,
  })
  const at = dateFormat(language, { dateStyle: 'medium', timeStyle: 'short', timeZone: site.timeZone })
  const formOf = formsOfLeads()
  const shown = await Promise.all(
    leads.map(async (lead) => {
      const about = await formOf(lead)
      return about
        ? [
            {
              at: at.format(lead.at),
              form: about.name,
              page: lead.pagePath,
              lines: leadLines(about.form, contentOf(config, lead).responses, language),
            },
          ]
        : []
    }),
  )
  return shown.flat()
}
