import { methodIds } from '@pebblestrand/core/methods/words'
import { z } from 'zod'
import { Round } from './checks'
import { Json, Time } from './fields'
import { Finding, Status } from './findings'
import { route } from './route'

export const WaitingInstall = z.object({
  id: z.uuid(),
  kind: z.string(),
  method: z.enum(methodIds),
  status: Status,
  retiring: z.boolean(),
  plannedAt: Time,
  pastedAt: Time.nullable(),
  checkedAt: Time.nullable(),
  widget: z.string(),
  page: z.string(),
  path: z.string(),
  site: z.string(),
  siteId: z.uuid(),
  placement: z.string().nullable(),
  /** By whom else it is waited for: who has its sheet. */
  handed: z
    .object({
      sheetId: z.uuid(),
      to: z.string(),
      mail: z.string(),
      at: z.string(),
      reminded: z.number(),
      trouble: z.string().nullable(),
    })
    .nullable(),
  code: z.string().nullable(),
  title: z.string().nullable(),
  says: z.string().nullable(),
  remedy: z.string().nullable(),
  nextAction: Finding.shape.nextAction.nullable(),
})

export const todayRoutes = {
  read: route({
    method: 'GET',
    path: '/api/today',
    may: 'member',
    summary: 'What needs a person now, and what changed',
    answer: z.object({
      waiting: z.array(WaitingInstall),
      counts: z.object({
        installs: z.number(),
        confirmed: z.number(),
        sites: z.number(),
        waiting: z.number(),
        checkedAt: Time.nullable(),
      }),
      lately: z.array(
        z.object({
          id: z.uuid(),
          at: Time,
          verb: z.string(),
          data: Json,
          installId: z.uuid(),
          status: Status,
          retiring: z.boolean(),
          widget: z.string(),
          page: z.string(),
          site: z.string(),
        }),
      ),
      /** Widgets of which nothing is left, while visitors still see the last that they showed. */
      emptied: z.array(z.object({ id: z.uuid(), name: z.string(), at: Time, installs: z.number() })),
      ailing: z.array(
        z.object({
          id: z.uuid(),
          title: z.string(),
          problem: z.object({ message: z.string(), remedy: z.string() }),
          failures: z.number(),
          okAt: Time.nullable(),
        }),
      ),
      /** Forms whose list of codes runs out. */
      coupons: z.array(z.object({ widgetId: z.uuid(), name: z.string(), left: z.number(), waiting: z.number() })),
      /** Forms that have sent as many mails to visitors as they may in an hour. */
      limited: z.array(z.object({ widgetId: z.uuid(), name: z.string(), waiting: z.number() })),
      /** What visitors sent that nobody has looked at. */
      leads: z.object({ new: z.number(), held: z.number() }),
      /** Swaps that are planned or on, the next first; `at`: when it begins, or ends where it is on. */
      swaps: z.array(
        z.object({
          id: z.uuid(),
          installId: z.uuid(),
          state: z.enum(['planned', 'on', 'failed']),
          problem: z.string().nullable(),
          at: Time,
          until: Time.nullable(),
          widget: z.string(),
          before: z.string().nullable(),
          page: z.string(),
          site: z.string(),
          timeZone: z.string(),
        }),
      ),
      round: Round.nullable(),
    }),
  }),
}
