import { z } from 'zod'
import { minutesOf } from '../zoned-time/days'
import { closingOf } from './days'

const TIME = /^(?:[01]\d|2[0-3]):[0-5]\d$/

/**
 * One opening of a day, on the clocks of the place. What closes at or before it opens closes on the next day; `24:00` is the end of
 * the day itself.
 */
export const Span = z.strictObject({
  opens: z.string().regex(TIME, 'must open at a time like 09:00'),
  closes: z.string().regex(/^(?:(?:[01]\d|2[0-3]):[0-5]\d|24:00)$/, 'must close at a time like 17:00'),
})
export type Span = z.infer<typeof Span>

/** Openings that one day may have. */
export const MOST_SPANS = 4
/** The openings of one day, in order; none: closed. */
export const DayHours = z
  .array(Span)
  .max(MOST_SPANS, `must have ${MOST_SPANS} openings a day at most`)
  .refine((spans) => !overlapping(spans), 'must not have openings that overlap')
export type DayHours = z.infer<typeof DayHours>

/** Monday first. */
export const Week = z.array(DayHours).length(7)
export type Week = z.infer<typeof Week>

/** A day, or some in a row, with hours of their own: a holiday, a season. */
export const SpecialDays = z
  .strictObject({
    /** As `2026-12-24`. */
    from: z.iso.date('must be a day like 2026-12-24'),
    /** The last of them; '' for a single day. */
    until: z.union([z.literal(''), z.iso.date()], 'must be a day like 2026-12-26'),
    /** '' for none. */
    name: z.string().trim().max(60, 'must have a name of 60 letters or fewer'),
    spans: DayHours,
    /** Only on these, 1 for Monday to 7 for Sunday; all of them where it is left out. */
    weekdays: z.array(z.number().int().min(1).max(7)).max(7).optional(),
  })
  .refine(({ from, until }) => !until || until >= from, 'must not end before they begin')
export type SpecialDays = z.infer<typeof SpecialDays>

/** When a place is open. Of special days that cover one day the last that is listed counts. */
export const OpeningHours = z.object({ week: Week, special: z.array(SpecialDays).max(60) })
export type OpeningHours = z.infer<typeof OpeningHours>

const overlapping = (spans: readonly Span[]): boolean =>
  spans.some((span, at) => at > 0 && minutesOf(span.opens) < closingOf(spans[at - 1]!))
