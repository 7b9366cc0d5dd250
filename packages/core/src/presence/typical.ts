import type { MadeUpVisit } from './made-up'

/** Somebody as there are many of. */
export interface Typical {
  id: string
  name: string
  /** In a sentence. */
  says: string
  /** Days from one visit to the next, where a month of them is played. */
  every: number
  visit: MadeUpVisit
}

type Stay = MadeUpVisit['visits'][number]['pages'][number]

interface About {
  /** Paths, the first page first. */
  paths: readonly string[]
  /** A day on the site's clocks, as `2026-11-27`. */
  day: string
  /** Language of the site, ISO 639. */
  language: string
}

const stay = (path: string, stays: number, more: Partial<Stay> = {}): Stay => ({
  path,
  query: '',
  fragment: '',
  referrer: '',
  stays,
  steps: [],
  ...more,
})
const scroll = (at: number, share: number) => ({ at, does: 'scroll' as const, share })

/** Search engines tell no more of where somebody comes from than their own host; the address is invented. */
const SEARCH = 'https://search.example/'

/** Ten visitors as there are many of: common practice in the trade, no measurement of any one site. */
export function typicalVisitors({ paths, day, language }: About): Typical[] {
  const home = paths[0] ?? '/'
  const [one = home, two = one, three = two] = paths.slice(1)
  const base = {
    device: 'desktop' as const,
    languages: [language],
    country: null,
    begins: `${day}T10:30`,
    patience: 5,
  }
  const once = (...pages: Stay[]) => [{ afterDays: 0, pages }]
  return [
    {
      id: 'search-phone',
      name: 'From a search, on a phone',
      says: 'lands on an inner page, reads half of it, and goes back',
      every: 30,
      visit: {
        ...base,
        device: 'phone',
        visits: once(
          stay(one, 35, { referrer: SEARCH, steps: [scroll(6, 20), scroll(15, 50), { at: 33, does: 'leave' }] }),
        ),
      },
    },
    {
      id: 'search-desk',
      name: 'From a search, at a desk',
      says: 'reads an inner page to its end and looks at the first one',
      every: 30,
      visit: {
        ...base,
        visits: once(
          stay(one, 70, { referrer: SEARCH, steps: [scroll(10, 40), scroll(40, 90)] }),
          stay(home, 30, { steps: [scroll(8, 30)] }),
        ),
      },
    },
    {
      id: 'regular',
      name: 'A regular',
      says: 'comes every few days, looks at the first page and one more',
      every: 3,
      visit: {
        ...base,
        patience: 2,
        visits: [0, 3, 6].map((afterDays) => ({
          afterDays,
          pages: [stay(home, 25, { steps: [scroll(5, 40)] }), stay(two, 40, { steps: [scroll(10, 60)] })],
        })),
      },
    },
    {
      id: 'newsletter',
      name: 'From the newsletter',
      says: 'follows a link with a campaign in it, and reads on a tablet',
      every: 14,
      visit: {
        ...base,
        device: 'tablet',
        begins: `${day}T19:10`,
        visits: once(stay(home, 90, { query: 'utm_source=newsletter', steps: [scroll(10, 30), scroll(30, 80)] })),
      },
    },
    {
      id: 'night',
      name: 'A night owl',
      says: 'comes at half past one, leaves the page open, and comes back to it',
      every: 7,
      visit: {
        ...base,
        begins: `${day}T01:30`,
        visits: once(stay(home, 400, { steps: [scroll(20, 30), { at: 330, does: 'move' }, scroll(340, 70)] })),
      },
    },
    {
      id: 'hurry',
      name: 'In a hurry',
      says: 'wants one number, and is gone in eight seconds',
      every: 10,
      visit: { ...base, device: 'phone', patience: 1, visits: once(stay(home, 8, { steps: [scroll(3, 15)] })) },
    },
    {
      id: 'abroad',
      name: 'From abroad',
      says: 'reads two pages in another language than the site’s',
      every: 30,
      visit: {
        ...base,
        languages: [language === 'de' ? 'en' : 'de'],
        country: 'CH',
        visits: once(stay(home, 30, { steps: [scroll(10, 50)] }), stay(one, 45, { steps: [scroll(10, 50)] })),
      },
    },
    {
      id: 'comparing',
      name: 'Comparing',
      says: 'looks at four pages in turn, and moves to close the tab',
      every: 15,
      visit: {
        ...base,
        visits: once(
          stay(home, 20, { steps: [scroll(6, 50)] }),
          stay(one, 25, { steps: [scroll(6, 70)] }),
          stay(two, 25, { steps: [scroll(6, 70)] }),
          stay(three, 30, { steps: [scroll(6, 60), { at: 28, does: 'leave' }] }),
        ),
      },
    },
    {
      id: 'back',
      name: 'Back after a month',
      says: 'was here once, and comes again on the thirty-first day',
      every: 31,
      visit: {
        ...base,
        visits: [0, 31].map((afterDays) => ({ afterDays, pages: [stay(home, 45, { steps: [scroll(10, 60)] })] })),
      },
    },
    {
      id: 'thorough',
      name: 'A thorough reader',
      says: 'reads two long pages on a tablet to the last line',
      every: 7,
      visit: {
        ...base,
        device: 'tablet',
        patience: 3,
        visits: once(
          stay(home, 180, { steps: [scroll(20, 25), scroll(60, 50), scroll(100, 75), scroll(150, 100)] }),
          stay(one, 160, { steps: [scroll(30, 40), scroll(120, 100)] }),
        ),
      },
    },
  ]
}

const MONTH = 30

/** The first visit of somebody, come again through a month. */
export function monthOf({ visit, every }: Pick<Typical, 'visit' | 'every'>): MadeUpVisit {
  const [first] = visit.visits
  const days = Array.from({ length: Math.ceil(MONTH / every) }, (_, i) => i * every)
  return { ...visit, visits: days.map((afterDays) => ({ ...first!, afterDays })) }
}

/** What annoys nobody much: once in a visit, and each no more often than twice a month. Common practice in the trade. */
export const THRESHOLDS = { perVisit: 1, perMonth: 2 }
