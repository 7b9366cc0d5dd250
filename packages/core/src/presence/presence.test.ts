import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  Audience,
  barredBy,
  decide,
  deviceOf,
  FORGETFUL,
  heldBackBy,
  isCollision,
  isWithin,
  Limits,
  MadeUpVisit,
  monthOf,
  NOTHING_DONE,
  pagesToTry,
  PresenceRules,
  readMemory,
  rememberSeen,
  rememberAnswered,
  rememberClosed,
  rehearse,
  rememberShown,
  Trigger,
  triggered,
  typicalVisitors,
  unmet,
  visitorOf,
  writeMemory,
  type Arrival,
  type Moment,
  type Progress,
  type MadeUpVisitor,
  type Step,
  type Visitor,
} from '.'

const now = new Date('2026-11-27T10:00:00Z')
const visitor: Visitor = { device: 'desktop', languages: ['en-GB'], country: null }
const arrival: Arrival = { path: '/news', query: '', fragment: '', referrer: '', timeZone: 'Atlantic/Faroe' }
const rules = (more: object = {}) => PresenceRules.parse({ triggers: [{ on: 'arrival' }], ...more })
const progress = (more: Partial<Progress> = {}): Progress => ({ ...NOTHING_DONE, ...more })

describe('a trigger', () => {
  const fired = (trigger: object, more: Partial<Progress>) =>
    triggered({ id: 'w', rules: rules({ triggers: [trigger] }) }, progress(more), false).is
  it.each([
    [{ on: 'seconds', seconds: 15 }, { seconds: 14.9 }, { seconds: 15 }],
    [{ on: 'scrolled', share: 50 }, { scrolled: 49 }, { scrolled: 50 }],
    [{ on: 'reached', selector: '#fares' }, { reached: ['#times'] }, { reached: ['#times', '#fares'] }],
    [{ on: 'click', selector: '.open' }, {}, { clicked: ['.open'] }],
    [{ on: 'leaving' }, {}, { isLeaving: true }],
    [{ on: 'idle', seconds: 30 }, { seconds: 90, idleSeconds: 5 }, { idleSeconds: 30 }],
    [{ on: 'call' }, {}, { called: ['w'] }],
    [{ on: 'fragment', name: 'voucher' }, { fragment: 'vouchers' }, { fragment: 'voucher' }],
  ] as [object, Partial<Progress>, Partial<Progress>][])('%o', (trigger, before, then) => {
    expect(fired(trigger, before)).toBe(false)
    expect(fired(trigger, then)).toBe(true)
  })
  it('on arrival is there at once', () => expect(fired({ on: 'arrival' }, {})).toBe(true))
  it('with others: one is enough, or all are wanted', () => {
    const triggers = [
      { on: 'seconds', seconds: 10 },
      { on: 'scrolled', share: 50 },
    ]
    const only = progress({ seconds: 12 })
    expect(triggered({ id: 'w', rules: rules({ triggers }) }, only, false).is).toBe(true)
    expect(triggered({ id: 'w', rules: rules({ triggers, combine: 'all' }) }, only, false).is).toBe(false)
    expect(
      triggered({ id: 'w', rules: rules({ triggers, combine: 'all' }) }, progress({ seconds: 12, scrolled: 80 }), false)
        .is,
    ).toBe(true)
  })
  it('that was never heard of is refused, the field named', () => {
    expect(Trigger.safeParse({ on: 'full moon' }).error!.issues[0]!.path).toEqual(['on'])
    expect(PresenceRules.safeParse({ triggers: [] }).success).toBe(false)
  })
})

describe('who sees it', () => {
  const bars = (
    audience: object,
    more: { visitor?: Partial<Visitor>; visits?: number; arrival?: Partial<Arrival>; now?: Date } = {},
  ) =>
    barredBy({
      audience: Audience.parse(audience),
      visitor: { ...visitor, ...more.visitor },
      visits: more.visits ?? 1,
      arrival: { ...arrival, ...more.arrival },
      now: more.now ?? now,
    })
  it.each([
    [{ pages: ['/fares', '/news/*'] }, {}, 'page'],
    [{ pages: ['/news'] }, {}, null],
    [{ pages: ['/*'], notPages: ['/news'] }, {}, 'page'],
    [{}, { visitor: { device: 'phone' } }, 'device'], // off on phones unless it is asked for
    [{ devices: ['phone'] }, { visitor: { device: 'phone' } }, null],
    [{ languages: ['de', 'fr'] }, {}, 'language'],
    [{ languages: ['en'] }, {}, null],
    [{ countries: ['FO'] }, {}, null],
    [{ countries: ['FO'], whereUnknown: false }, {}, 'country'],
    [{ countries: ['FO'] }, { visitor: { country: 'DK' } }, 'country'],
    [{ visits: 'returning' }, {}, 'visits'],
    [{ visits: 'first' }, { visits: 2 }, 'visits'],
    [{ campaign: 'utm_source=regatta' }, { arrival: { query: 'utm_source=regatta&x=1' } }, null],
    [{ campaign: 'utm_source=regatta' }, { arrival: { query: 'utm_source=other' } }, 'campaign'],
    [{ campaign: 'voucher' }, { arrival: { query: 'voucher=' } }, null],
    [{ cameFrom: ['post.example'] }, { arrival: { referrer: 'https://www.post.example/a' } }, null],
    [{ cameFrom: ['post.example'] }, { arrival: { referrer: 'https://news.post.example/' } }, null],
    [{ cameFrom: ['post.example'] }, { arrival: { referrer: 'https://notpost.example/' } }, 'came-from'],
    [{ cameFrom: ['post.example'] }, {}, 'came-from'],
    [{ from: '2026-11-28T00:00:00+00:00' }, {}, 'not-yet'],
    [{ until: '2026-11-27T10:00:00Z' }, {}, 'over'],
    [{ days: [6, 7] }, {}, 'hours'],
    [{ hours: { from: '09:00', until: '17:00' } }, {}, null],
  ] as [object, Parameters<typeof bars>[1], string | null][])('%o, %o: %s', (audience, more, says) =>
    expect(bars(audience, more)).toBe(says),
  )
  it('devices are told by the width of the window', () =>
    expect([390, 768, 1280].map(deviceOf)).toEqual(['phone', 'tablet', 'desktop']))
})

describe('pages to try it on', () => {
  const toTry = (audience: object, on: string, paths: string[]) =>
    pagesToTry({ audience: Audience.parse(audience) }, on, paths)
  it('are the one that was asked about, where it may appear there, and one that its rules bar', () => {
    expect(toTry({ notPages: ['/basket'] }, '/*', ['/', '/visit', '/basket'])).toEqual({
      within: '/',
      outside: '/basket',
    })
    expect(toTry({ pages: ['/visit'] }, '/*', ['/', '/visit'])).toEqual({ within: '/visit', outside: '/' })
  })
  it('one that it is not brought to, where its rules bar none', () =>
    expect(toTry({}, '/visit', ['/visit', '/'])).toEqual({ within: '/visit', outside: '/' }))
  it('are none where there is none', () => {
    expect(toTry({}, '/*', ['/'])).toEqual({ within: '/', outside: null })
    expect(toTry({ pages: ['/gone'] }, '/*', ['/'])).toEqual({ within: null, outside: '/' })
  })
})

describe('hours and days', () => {
  it('go past midnight, and belong to the day on which they began', () => {
    const hours = { from: '22:00', until: '02:00' }
    const friday = (weekday: number, hour: number) => isWithin({ weekday, minutes: hour * 60 }, [5], hours)
    expect([friday(5, 23), friday(6, 1), friday(5, 1), friday(6, 23), friday(6, 2)]).toEqual([
      true,
      true,
      false,
      false,
      false,
    ])
    expect(isWithin({ weekday: 1, minutes: 30 }, [7], hours)).toBe(true)
  })
  it('of one whole day leave out no minute of it', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 7 }), fc.integer({ min: 0, max: 1439 }), (weekday, minutes) =>
        isWithin({ weekday, minutes }, [], { from: '00:00', until: '24:00' }),
      ),
    ))
})

describe('limits', () => {
  const held = (limits: object, remembered = {}, given = {}) =>
    heldBackBy(Limits.parse(limits), remembered, { hasDone: true, wasShown: false, now, ...given })
  const closedDaysAgo = (days: number) =>
    rememberClosed(FORGETFUL, 'a', new Date(now.getTime() - days * 86_400_000)).of.a!
  it('keep it away for a fortnight after it was closed, unless told otherwise', () => {
    expect(held({}, closedDaysAgo(13))).toBe('closed-lately')
    expect(held({}, closedDaysAgo(14))).toBeNull()
    expect(held({ daysAfterClosing: 0 }, closedDaysAgo(0))).toBeNull()
  })
  it('never bring it again once it was answered', () => {
    const { a } = rememberAnswered(FORGETFUL, 'a', now).of
    expect(held({}, a)).toBe('answered')
    expect(held({ onceAnswered: false }, a)).toBeNull()
  })
  it('count in the visit and in all', () => {
    const once = rememberShown(FORGETFUL, 'a')
    expect(held({}, once.of.a)).toBe('shown-this-visit')
    expect(held({ perVisit: 0 }, once.of.a)).toBeNull()
    const { a } = rememberShown(rememberShown(FORGETFUL, 'a'), 'a').of
    expect(held({ perVisit: 0, inAll: 2 }, a)).toBe('shown-in-all')
  })
  it('wait until the visitor has done anything, where that is chosen', () =>
    expect(held({ afterDoing: true }, {}, { hasDone: false })).toBe('nothing-done'))
})

describe('what a browser remembers', () => {
  const later = (minutes: number) => new Date(now.getTime() + minutes * 60_000)
  it('is read back as it was written', () => {
    const memory = rememberShown(rememberClosed(rememberSeen(null, now), 'a', now), 'b')
    expect(readMemory(writeMemory(memory))).toEqual(memory)
  })
  it('is nothing where it is not ours, whatever it is', () =>
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.json()), (text) => {
        const memory = readMemory(text)
        if (!memory) return
        expect(memory.visits).toBeGreaterThanOrEqual(0)
        expect(typeof memory.of).toBe('object')
      }),
    ))
  it('counts another visit after half an hour without a sign of life', () => {
    const first = rememberShown(rememberSeen(null, now), 'a')
    expect(first.visits).toBe(1)
    const going = rememberSeen(rememberSeen(first, later(20)), later(45))
    expect([going.visits, going.of.a!.lately]).toEqual([1, 1])
    const back = rememberSeen(going, later(75))
    expect([back.visits, back.of.a!.lately, back.of.a!.shown]).toEqual([2, undefined, 1])
  })
})

describe('what shows', () => {
  const moment = (more: Partial<Moment> = {}): Moment => ({
    visitor,
    arrival,
    progress: progress(),
    memory: FORGETFUL,
    open: [],
    shown: [],
    now,
    ...more,
  })
  const bar = { id: 'bar', rules: rules({ priority: 3 }) }
  const dialog = { id: 'dialog', rules: rules({ priority: 8 }) }
  const opened = { id: 'opened', rules: rules({ triggers: [{ on: 'click', selector: '.o' }], priority: 0 }) }
  const told = (...args: Parameters<typeof decide>) =>
    Object.fromEntries(decide(...args).map(({ id, shows, why }) => [id, shows || why]))
  it('is the one of the highest priority; the others give way', () =>
    expect(told([bar, dialog], moment())).toEqual({ bar: 'gives-way', dialog: true }))
  const closedAgo = (seconds: number) => rememberClosed(FORGETFUL, 'other', new Date(now.getTime() - seconds * 1000))
  it('is nothing beside what is open, nor right after another was closed', () => {
    expect(told([bar, dialog], moment({ open: ['dialog'] }))).toEqual({ bar: 'another-is-open' })
    expect(told([bar], moment({ memory: closedAgo(5) }))).toEqual({ bar: 'pause' })
    expect(told([bar], moment({ memory: closedAgo(60) }))).toEqual({ bar: true })
  })
  it('is what stands beside the others as well, which hold up nothing', () => {
    const beside = { id: 'beside', rules: rules({ beside: true }) }
    expect(told([bar, beside], moment())).toEqual({ bar: true, beside: true })
    expect(told([bar, beside], moment({ open: ['beside'] }))).toEqual({ bar: true })
    expect(told([beside, dialog], moment({ open: ['dialog'], memory: closedAgo(1) }))).toEqual({ beside: true })
  })
  it('is what the visitor asked for before all else, whatever its limits and the pause', () => {
    const memory = rememberAnswered(rememberClosed(FORGETFUL, 'opened', now), 'opened', now)
    const asked = moment({ memory, progress: progress({ clicked: ['.o'] }) })
    expect(told([dialog, opened], asked)).toEqual({ dialog: 'gives-way', opened: true })
    expect(told([dialog, opened], { ...asked, open: ['dialog'] })).toEqual({ opened: true })
  })
  it('comes by itself once on a page, and again as often as it is pressed for', () => {
    const often = rules({
      triggers: [
        { on: 'fragment', name: 'x' },
        { on: 'click', selector: '.o' },
      ],
      limits: { daysAfterClosing: 0, perVisit: 0 },
    })
    const at = (more: Partial<Progress>, shown: string[]) =>
      told([{ id: 'a', rules: often }], moment({ progress: progress({ fragment: 'x', ...more }), shown }))
    expect(at({}, [])).toEqual({ a: true })
    expect(at({}, ['a'])).toEqual({ a: 'shown-here' })
    expect(at({ clicked: ['.o'] }, ['a'])).toEqual({ a: true })
  })
  it('is one at a time, never what is barred or held back, and the same for the same moment', () => {
    const candidate = fc
      .record({
        priority: fc.integer({ min: 0, max: 9 }),
        on: fc.constantFrom('arrival', 'leaving', 'call'),
        devices: fc.subarray(['phone', 'tablet', 'desktop'] as const),
        closed: fc.boolean(),
      })
      .map(({ on, devices, ...rest }) => ({ ...rest, rules: { triggers: [{ on }], audience: { devices } } }))
    fc.assert(
      fc.property(
        fc.array(candidate, { maxLength: 6 }),
        fc.constantFrom('phone', 'tablet', 'desktop' as const),
        fc.boolean(),
        (made, device, isLeaving) => {
          const candidates = made.map((one, i) => ({
            id: `w${i}`,
            rules: PresenceRules.parse({ ...one.rules, priority: one.priority }),
          }))
          const memory = made.reduce(
            (sum, { closed }, i) => (closed ? rememberClosed(sum, `w${i}`, new Date(now.getTime() - 3_600_000)) : sum),
            FORGETFUL,
          )
          const at = moment({
            visitor: { ...visitor, device: device as never },
            memory,
            progress: progress({ isLeaving }),
          })
          const decisions = decide(candidates, at)
          expect(decisions.filter(({ shows }) => shows).length).toBeLessThanOrEqual(1)
          expect(decide(candidates, at)).toEqual(decisions)
          for (const { id, shows } of decisions.filter((one) => one.shows)) {
            const i = Number(id.slice(1))
            expect(shows && made[i]!.closed).toBe(false)
            expect(candidates[i]!.rules.audience.devices).toContain(device)
          }
        },
      ),
    )
  })
})

describe('a rehearsal', () => {
  const on = '/*'
  const dialog = { id: 'dialog', on, rules: rules({ triggers: [{ on: 'seconds', seconds: 15 }], priority: 8 }) }
  const bar = { id: 'bar', on, rules: rules({ triggers: [{ on: 'scrolled', share: 50 }], priority: 3 }) }
  const stay = (steps: Step[], more: object = {}) => ({ ...arrival, stays: 90, steps, ...more })
  const made = (more: Partial<MadeUpVisitor>): MadeUpVisitor => ({
    visitor,
    visits: [],
    patience: 5,
    memory: null,
    begins: now,
    timeZone: 'UTC',
    ...more,
  })
  const play = (steps: Step[], more: Partial<MadeUpVisitor> = {}) =>
    rehearse([dialog, bar], made({ visits: [{ afterDays: 0, pages: [stay(steps)] }], ...more }))
  const brief = (steps: Step[], more: Partial<MadeUpVisitor> = {}) =>
    play(steps, more).happenings.map(({ at, id, ...one }) => `${at} ${id} ${'why' in one ? one.why : one.what}`)
  it('tells when each appears, and what met', () => {
    const scroll: Step[] = [{ at: 16, does: 'scroll', share: 60 }]
    expect(brief(scroll)).toEqual([
      '15 dialog shows',
      '16 bar another-is-open',
      '20 dialog closed',
      '20 bar pause',
      '50 bar shows',
      '55 bar closed',
    ])
    expect(
      play(scroll)
        .happenings.filter(isCollision)
        .map(({ id }) => id),
    ).toEqual(['bar', 'bar'])
  })
  it('says of each how often it was shown, or what kept it away', () => {
    const { outcomes } = play([], { visitor: { ...visitor, device: 'phone' } })
    expect(outcomes).toEqual([
      { id: 'dialog', shown: 0, unasked: 0, why: 'device' },
      { id: 'bar', shown: 0, unasked: 0, why: 'device' },
    ])
    expect(play([]).outcomes).toEqual([
      { id: 'dialog', shown: 1, unasked: 1, why: null },
      { id: 'bar', shown: 0, unasked: 0, why: 'waits' },
    ])
    const away = rehearse([{ ...dialog, on: '/fares' }], made({ visits: [{ afterDays: 0, pages: [stay([])] }] }))
    expect(away.outcomes[0]!.why).toBe('elsewhere')
  })
  it('goes on from page to page and from visit to visit: what was closed stays away, and comes back when its days are over', () => {
    const visits = [0, 1, 13, 14].map((afterDays) => ({ afterDays, pages: [stay([]), stay([])] }))
    const { happenings, outcomes } = rehearse([dialog], made({ visits }))
    expect(happenings.filter(({ what }) => what === 'shows').map(({ visit, page }) => [visit, page])).toEqual([
      [0, 0],
      [3, 0],
    ])
    expect(outcomes[0]).toMatchObject({ shown: 2, unasked: 2 })
  })
  it('takes what goes with its page for left, and not for closed', () => {
    const visits = [{ afterDays: 0, pages: [stay([], { stays: 20 }), stay([])] }]
    const often = { ...dialog, rules: { ...dialog.rules, limits: Limits.parse({ perVisit: 0 }) } }
    const { happenings } = rehearse([often], made({ visits, patience: 0 }))
    expect(happenings.map(({ page, at, what }) => [page, at, what])).toEqual([
      [0, 15, 'shows'],
      [0, 20, 'left'],
      [1, 15, 'shows'],
      [1, 90, 'left'],
    ])
  })
  it('never has two open at once, whatever the visitor does', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            at: fc.integer({ min: 0, max: 90 }),
            does: fc.constantFrom('scroll', 'leave', 'move', 'close', 'answer'),
            share: fc.integer({ min: 0, max: 100 }),
          }),
          { maxLength: 12 },
        ),
        fc.integer({ min: 0, max: 10 }),
        (steps, patience) => {
          let open = ''
          for (const { id, what } of play(steps as never, { patience }).happenings) {
            if (what === 'shows') {
              expect(open).toBe('')
              open = id
            } else if (what !== 'held') open = ''
          }
        },
      ),
    ))
})

describe('typical visitors', () => {
  const about = { paths: ['/', '/fares', '/news'], day: '2026-11-27', language: 'en' }
  const always = { id: 'w', on: '/*', rules: rules({ audience: { devices: ['phone', 'tablet', 'desktop'] } }) }
  it('are ten, each of them a visit that can be kept', () => {
    const all = typicalVisitors(about)
    expect(new Set(all.map(({ id }) => id)).size).toBe(10)
    for (const { visit } of all) expect(MadeUpVisit.parse(visit)).toEqual(visit)
  })
  it('come on the clocks of the site', () => {
    const owl = typicalVisitors(about).find(({ id }) => id === 'night')!
    expect(visitorOf(owl.visit, 'America/New_York').begins.toISOString()).toBe('2026-11-27T06:30:00.000Z')
  })
  it('of a site with one page, or none that is known, stay on what there is', () => {
    for (const paths of [['/'], []])
      for (const { visit } of typicalVisitors({ ...about, paths }))
        for (const { pages } of visit.visits) expect(new Set(pages.map(({ path }) => path))).toEqual(new Set(['/']))
  })
  it('through a month meet something that comes back after a fortnight three times at most', () => {
    const regular = typicalVisitors(about).find(({ id }) => id === 'regular')!
    const { outcomes } = rehearse([always], visitorOf(monthOf(regular), 'UTC'))
    expect(outcomes[0]!.unasked).toBe(2) // on day 0 and day 15: closed for 14 days in between
  })
  it('tell what was expected and did not come about', () => {
    const [widgetId, other] = ['7f1f6c0a-3d55-4a0e-9d59-0f6e5f6f7a11', '7f1f6c0a-3d55-4a0e-9d59-0f6e5f6f7a12']
    const hurry = typicalVisitors(about).find(({ id }) => id === 'hurry')!
    const played = rehearse([always], visitorOf(hurry.visit, 'UTC'))
    const idsOf = (id: string) => (id === widgetId ? ['w'] : [])
    const expects = (sees: boolean, id = widgetId!) => unmet([{ widgetId: id, sees }], played, idsOf)
    expect(expects(true)).toEqual([])
    expect(expects(false)).toEqual([{ widgetId, sees: false }])
    expect(expects(true, other)).toEqual([{ widgetId: other, sees: true }])
  })
})
