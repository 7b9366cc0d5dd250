import { z } from 'zod'
import { patternProblem } from '../page-patterns'
import { devices } from './devices'

const seconds = z.number().int().min(0).max(3600)
const selector = z.string().trim().min(1).max(200)

/** What makes it appear. */
export const Trigger = z.discriminatedUnion('on', [
  z.strictObject({ on: z.literal('arrival') }),
  z.strictObject({ on: z.literal('seconds'), seconds }),
  /** Of the page's length, 1 to 100. */
  z.strictObject({ on: z.literal('scrolled'), share: z.number().int().min(1).max(100) }),
  z.strictObject({ on: z.literal('reached'), selector }),
  z.strictObject({ on: z.literal('click'), selector }),
  z.strictObject({ on: z.literal('leaving') }),
  /** Nothing done for so long. */
  z.strictObject({ on: z.literal('idle'), seconds: seconds.min(1) }),
  z.strictObject({ on: z.literal('call') }),
  /** The address ends in `#name`. */
  z.strictObject({ on: z.literal('fragment'), name: z.string().trim().min(1).max(100) }),
])
export type Trigger = z.infer<typeof Trigger>

const Path = z
  .string()
  .trim()
  .superRefine((path, context) => {
    const problem = patternProblem(path)
    if (problem) context.addIssue({ code: 'custom', message: `must ${problem}` })
  })

/** Hours and minutes of a day, `24:00` for its end. */
const TimeOfDay = z.string().regex(/^(?:[01]\d|2[0-3]):[0-5]\d$|^24:00$/, 'must be a time like 08:30')
const Moment = z.iso.datetime({ offset: true })

/** Who sees it, where and when; what is left out keeps nobody away. */
export const Audience = z.strictObject({
  pages: z.array(Path).max(50).default([]),
  notPages: z.array(Path).max(50).default([]),
  devices: z.array(z.enum(devices)).default(['tablet', 'desktop']),
  /** ISO 639. */
  languages: z
    .array(z.string().regex(/^[a-z]{2,3}$/))
    .max(50)
    .default([]),
  /** ISO 3166. */
  countries: z
    .array(z.string().regex(/^[A-Z]{2}$/))
    .max(250)
    .default([]),
  /** Whether it is shown where nobody knows the country. */
  whereUnknown: z.boolean().default(true),
  visits: z.enum(['all', 'first', 'returning']).default('all'),
  /** `name=value`, or `name` alone for any value. */
  campaign: z.string().trim().max(200).default(''),
  /** Hosts that visitors come from; a host stands for those below it. */
  cameFrom: z.array(z.string().trim().min(1).max(200)).max(50).default([]),
  from: Moment.nullable().default(null),
  until: Moment.nullable().default(null),
  /** 1 for Monday to 7 for Sunday (ISO 8601). */
  days: z.array(z.number().int().min(1).max(7)).default([]),
  /** In the site's time zone; past midnight where it ends before it begins. */
  hours: z.strictObject({ from: TimeOfDay, until: TimeOfDay }).nullable().default(null),
})
export type Audience = z.infer<typeof Audience>

/** So that nobody is annoyed. */
export const Limits = z.strictObject({
  /** Days in which it is not shown again after it was closed; two weeks to a month is common practice in the trade. */
  daysAfterClosing: z.number().int().min(0).max(366).default(14),
  /** Never again after it was answered. */
  onceAnswered: z.boolean().default(true),
  /** 0 for no limit. */
  perVisit: z.number().int().min(0).max(20).default(1),
  inAll: z.number().int().min(0).max(1000).default(0),
  /** Not before the visitor has done anything. */
  afterDoing: z.boolean().default(false),
})
export type Limits = z.infer<typeof Limits>

/** When something that stands over a page appears. */
export const PresenceRules = z.strictObject({
  triggers: z.array(Trigger).min(1).max(9),
  /** Whether one of them is enough. */
  combine: z.enum(['any', 'all']).default('any'),
  limits: Limits.prefault({}),
  audience: Audience.prefault({}),
  /** Higher goes first. */
  priority: z.number().int().min(0).max(9).default(5),
  /** Stands beside whatever else is open, and takes no turn. */
  beside: z.boolean().default(false),
})
export type PresenceRules = z.infer<typeof PresenceRules>
