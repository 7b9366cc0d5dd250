import fc from 'fast-check'
import { PresenceRules, rehearse, type MadeUpVisitor, type Placed, type Step } from '..'

// Visits and rules at random: what decides on a client's page is tried against the rehearsal of the same visit, in whatever plays it.

/** When the first visit begins. */
const BEGINS = new Date('2026-11-27T10:30:00Z')

/** What happens to whom, as a line: visit, page of it, second on the page, id, what. */
export const line = (visit: number, page: number, second: number, id: string, what: string) =>
  `${visit} ${page} ${second} ${id} ${what}`

/** What the rehearsal says of a visit, as far as a page can tell it. */
export const rehearsed = (candidates: readonly Placed[], made: MadeUpVisitor): string[] =>
  rehearse(candidates, made).happenings.flatMap(({ visit, page, at, id, what }) =>
    what === 'shows' || what === 'closed' || what === 'answered' ? [line(visit, page, at, id, what)] : [],
  )

const trigger = fc.oneof(
  fc.constant({ on: 'arrival' as const }),
  fc.record({ on: fc.constant('seconds' as const), seconds: fc.integer({ min: 1, max: 40 }) }),
  fc.record({ on: fc.constant('scrolled' as const), share: fc.integer({ min: 1, max: 100 }) }),
  fc.record({ on: fc.constant('idle' as const), seconds: fc.integer({ min: 2, max: 20 }) }),
  fc.constant({ on: 'leaving' as const }),
  fc.record({ on: fc.constant('fragment' as const), name: fc.constantFrom('a', 'b') }),
)
const rules = fc
  .record({
    triggers: fc.array(trigger, { minLength: 1, maxLength: 2 }),
    combine: fc.constantFrom('any' as const, 'all' as const),
    priority: fc.integer({ min: 0, max: 9 }),
    beside: fc.boolean(),
    limits: fc.record({
      daysAfterClosing: fc.constantFrom(0, 1, 14),
      perVisit: fc.integer({ min: 0, max: 2 }),
      inAll: fc.integer({ min: 0, max: 2 }),
      afterDoing: fc.boolean(),
      onceAnswered: fc.boolean(),
    }),
    audience: fc.record({
      devices: fc.subarray(['phone', 'tablet', 'desktop'] as const, { minLength: 1 }),
      languages: fc.constantFrom([], ['en'], ['de']),
      visits: fc.constantFrom('all' as const, 'all' as const, 'first' as const, 'returning' as const),
      campaign: fc.constantFrom('', '', 'from=letter'),
      pages: fc.constantFrom([], ['/news/*'], ['/']),
      until: fc.constantFrom(null, null, '2026-11-27T10:30:20.000Z'),
    }),
  })
  .map((made) => PresenceRules.parse(made))
// Clicks of the visitor's own are tried by themselves: what is asked for opens whatever its limits.
const step = fc
  .record({
    at: fc.integer({ min: 1, max: 50 }),
    does: fc.constantFrom('scroll' as const, 'move' as const, 'leave' as const, 'close' as const, 'answer' as const),
    share: fc.integer({ min: 1, max: 100 }),
  })
  .map(({ share, ...one }): Step => (one.does === 'scroll' ? { ...one, does: 'scroll', share } : (one as Step)))
const page = fc.record({
  path: fc.constantFrom('/', '/news/one'),
  query: fc.constantFrom('', 'from=letter'),
  fragment: fc.constantFrom('', '', 'a'),
  referrer: fc.constant(''),
  stays: fc.integer({ min: 5, max: 60 }),
  steps: fc.array(step, { maxLength: 6 }),
})
const visits = fc.array(fc.array(page, { minLength: 1, maxLength: 2 }), { minLength: 1, maxLength: 3 })

/** One to four widgets, and somebody who meets them. */
export const encounters: fc.Arbitrary<{ candidates: Placed[]; visitor: MadeUpVisitor }> = fc
  .record({
    all: fc.array(rules, { minLength: 1, maxLength: 4 }),
    made: visits,
    device: fc.constantFrom('phone' as const, 'tablet' as const, 'desktop' as const),
    patience: fc.constantFrom(0, 3, 8),
  })
  .map(({ all, made, device, patience }) => ({
    candidates: all.map((one, i) => ({ id: `w${i}`, on: '/*', rules: one })),
    visitor: {
      visitor: { device, languages: ['en-GB'], country: null },
      visits: made.map((pages, i) => ({ afterDays: [0, 1, 15][i]!, pages })),
      patience,
      memory: null,
      begins: BEGINS,
      timeZone: 'Atlantic/Faroe',
    },
  }))
