import { creditLooks } from '@pebblestrand/core/look'
import { z } from 'zod'
import { namingWords } from '@pebblestrand/core/naming'
import { Id, IdParams, Json, line, wholeNumber } from './fields'
import { route } from './route'

const webAddress = z.union(
  [
    z.literal(''),
    z.url({ protocol: /^https?$/, error: 'must be an address like https://example.org, or empty' }).max(300),
  ],
  'must be an address like https://example.org, or empty',
)

/** Names in braces that a naming pattern may have. */
const Pattern = z
  .string()
  .trim()
  .max(120, 'must have 120 letters or fewer')
  .superRefine((pattern, context) => {
    const strange = [...pattern.matchAll(/\{([^{}]*)\}/g)]
      .map(([, name]) => name!)
      .find((name) => !Object.hasOwn(namingWords, name))
    if (strange !== undefined)
      context.addIssue({
        code: 'custom',
        message: `does not know {${strange}}; it knows ${Object.keys(namingWords)
          .map((one) => `{${one}}`)
          .join(', ')}`,
      })
  })

/** What an agency sets once for all its widgets. */
export const AgencySettings = z.object({
  /** The line below widgets of clients that have it. */
  credit: z.object({
    words: z.string().trim().max(80, 'must have 80 letters or fewer'),
    link: webAddress,
    look: z.enum(creditLooks),
  }),
  /** How a new widget is named; empty for its kind alone. */
  naming: Pattern,
  /** For how many days what checks saw is kept: whole pages and screenshots of changes, and the verdict of each day. */
  history: z
    .object({ evidenceDays: wholeNumber(7, 730), verdictDays: wholeNumber(30, 3650) })
    .refine(({ evidenceDays, verdictDays }) => verdictDays >= evidenceDays, {
      path: ['verdictDays'],
      message: 'must not be less than screenshots are kept',
    }),
})

/** A design that the agency keeps. */
export const OwnStarter = z.object({
  id: z.uuid(),
  kind: z.string(),
  name: z.string(),
  settings: Json,
})

export const agencyRoutes = {
  read: route({
    method: 'GET',
    path: '/api/agency',
    may: 'member',
    summary: 'What the agency has set for all its widgets',
    answer: AgencySettings,
  }),
  change: route({
    method: 'PUT',
    path: '/api/agency',
    may: 'owner',
    summary: 'Set it',
    body: AgencySettings,
    answer: AgencySettings,
  }),
  starters: route({
    method: 'GET',
    path: '/api/agency/starters',
    may: 'member',
    summary: 'Designs that the agency keeps',
    answer: z.object({ rows: z.array(OwnStarter) }),
  }),
  keepStarter: route({
    method: 'POST',
    path: '/api/agency/starters',
    may: 'member',
    summary: 'Keep a widget’s design as a starter',
    body: z.object({ widgetId: z.uuid(), name: line(60) }),
    answer: Id,
  }),
  bringStarter: route({
    method: 'POST',
    path: '/api/agency/starters/file',
    may: 'member',
    summary: 'Bring in a starter from its file',
    body: z.object({ text: z.string().max(200_000, 'is larger than a starter is') }),
    answer: Id,
  }),
  starterFile: route({
    method: 'GET',
    path: '/api/agency/starters/:id/file',
    may: 'member',
    summary: 'A starter as a file, JSON by a published schema',
    params: IdParams,
    answer: z.any(),
    file: true,
  }),
  dropStarter: route({
    method: 'DELETE',
    path: '/api/agency/starters/:id',
    may: 'member',
    summary: 'Drop a starter; widgets made from it stay as they are',
    params: IdParams,
    answer: z.object({ done: z.literal(true) }),
  }),
}
