import { QueryTypes } from 'sequelize'
import type { Context } from '../platform/context'
import { queueNote } from './deliver'
import { contentOf } from './lead-content'
import { formOf } from './lead-form'
import { Lead, LeadDelivery } from './models'
import { agencyTold, clientTold } from './who-is-told'

/** The hour of a site's day at which its notes go out. */
const HOUR = 7
/** Leads in one mail; the rest come with the next. */
const MOST = 200

const WAITING = `
SELECT d.what, l.widget_id AS "widgetId", l.site_id AS "siteId", coalesce(s.time_zone, 'UTC') AS "timeZone", min(d.at) AS since, (array_agg(l.id ORDER BY l.at))[1:${MOST}] AS ids
FROM lead_deliveries d JOIN leads l ON l.id = d.lead_id LEFT JOIN sites s ON s.id = l.site_id
WHERE d.state = 'waiting' AND d.what IN ('note-agency', 'note-client') GROUP BY 1, 2, 3, 4`

interface Waiting {
  what: 'note-agency' | 'note-client'
  widgetId: string
  siteId: string | null
  timeZone: string
  since: Date
  ids: string[]
}

const hourIn = (timeZone: string, now: Date) =>
  Number(new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', hourCycle: 'h23' }).format(now))

const DAY_MS = 86_400_000

/** Once a day, in the morning there: one mail of all that came since the last. What was missed then goes out a day later at the latest. */
export async function sendDigests(context: Context, now = new Date()): Promise<void> {
  const waiting = await context.db.query<Waiting>(WAITING, { type: QueryTypes.SELECT })
  for (const one of waiting)
    if (hourIn(one.timeZone, now) === HOUR || now.getTime() - one.since.getTime() > DAY_MS)
      await sendOne(context, one, now)
}

const sendOne = (context: Context, { what, siteId, ids }: Waiting, now: Date) =>
  context.db.transaction(async (transaction) => {
    const leads = await Lead.findAll({
      where: { id: ids },
      order: [['at', 'ASC']],
      lock: transaction.LOCK.UPDATE,
      transaction,
    })
    const still = await LeadDelivery.findAll({
      where: { leadId: leads.map(({ id }) => id), what, state: 'waiting' },
      transaction,
    })
    const told = await (what === 'note-agency' ? agencyTold : clientTold)(siteId, transaction)
    const due = new Set(still.map(({ leadId }) => leadId))
    const asked = await Promise.all(
      leads
        .filter(({ id }) => due.has(id))
        .map(async (lead) => ({
          lead,
          about: await formOf(lead, transaction),
          content: contentOf(context.config, lead),
        })),
    )
    const known = asked.flatMap(({ lead, about, content }) =>
      about ? [{ lead, about, content, form: about.form }] : [],
    )
    const [newest] = known.slice(-1)
    const state = told.length
      ? { state: 'queued' as const, problem: null }
      : {
          state: 'failed' as const,
          problem: 'Nobody there gets what visitors write: note somebody with a mail address.',
        }
    if (newest && told.length)
      await queueNote(context, { what, about: newest.about, leads: known, told, now }, transaction)
    await LeadDelivery.update({ ...state, at: now }, { where: { leadId: [...due], what }, transaction })
  })
