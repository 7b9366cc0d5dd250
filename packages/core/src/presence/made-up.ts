import { z } from 'zod'
import { instantOf } from '../zoned-time'
import { devices } from './devices'
import { LONGEST, type MadeUpVisitor, type Rehearsal } from './rehearse'

const at = z.number().int().min(0).max(LONGEST.seconds)
const selector = z.string().trim().min(1).max(200)

const Step = z.discriminatedUnion('does', [
  z.strictObject({ at, does: z.literal('scroll'), share: z.number().int().min(0).max(100) }),
  z.strictObject({ at, does: z.literal('reach'), selector }),
  z.strictObject({ at, does: z.literal('click'), selector }),
  z.strictObject({ at, does: z.literal('leave') }),
  z.strictObject({ at, does: z.literal('call') }),
  z.strictObject({ at, does: z.literal('move') }),
  z.strictObject({ at, does: z.literal('close') }),
  z.strictObject({ at, does: z.literal('answer') }),
])

const PageStay = z.strictObject({
  path: z.string().startsWith('/', 'must begin with /').max(500),
  query: z.string().max(500),
  fragment: z.string().max(200),
  referrer: z.string().max(1000),
  stays: at,
  steps: z.array(Step).max(60),
})

/** Of all pages together: each second is played. */
const MOST_SECONDS = 4 * 3600

/** A made-up visitor as it is kept: times are on the clocks of the site. */
export const MadeUpVisit = z.strictObject({
  device: z.enum(devices),
  languages: z.array(z.string().min(2).max(20)).min(1).max(5),
  /** ISO 3166; null where nobody knows. */
  country: z
    .string()
    .regex(/^[A-Z]{2}$/, 'must be two letters, as DK')
    .nullable(),
  begins: z.iso.datetime({ local: true, precision: -1 }),
  patience: z.number().int().min(0).max(600),
  visits: z
    .array(
      z.strictObject({
        afterDays: z.number().int().min(0).max(400),
        pages: z.array(PageStay).min(1).max(LONGEST.pages),
      }),
    )
    .min(1)
    .max(LONGEST.visits)
    .refine(
      (visits) => visits.flatMap(({ pages }) => pages).reduce((sum, { stays }) => sum + stays, 0) <= MOST_SECONDS,
      {
        message: `may last ${MOST_SECONDS / 3600} hours in all`,
      },
    ),
})
export type MadeUpVisit = z.infer<typeof MadeUpVisit>

/** Somebody new, on a site's clocks. */
export const visitorOf = (
  { device, languages, country, begins, patience, visits }: MadeUpVisit,
  timeZone: string,
): MadeUpVisitor => ({
  visitor: { device, languages, country },
  visits,
  patience,
  memory: null,
  begins: instantOf(begins, timeZone),
  timeZone,
})

/** What is expected of a visit, by the ids of widgets: each is seen, or never seen. */
export const Expected = z
  .array(z.strictObject({ widgetId: z.uuid(), sees: z.boolean() }))
  .min(1)
  .max(20)
export type Expected = z.infer<typeof Expected>

/**
 * Which of what was expected did not come about.
 * @param idsOf the installs of a widget, by which the rehearsal names them
 */
export const unmet = (
  expected: Expected,
  { outcomes }: Rehearsal,
  idsOf: (widgetId: string) => readonly string[],
): Expected =>
  expected.filter(({ widgetId, sees }) => {
    const ids = idsOf(widgetId)
    const seen = outcomes.some(({ id, shown }) => ids.includes(id) && shown > 0)
    return seen !== sees
  })
