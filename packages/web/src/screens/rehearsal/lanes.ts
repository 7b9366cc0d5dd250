import { isCollision, type At, type Happening, type MadeUpVisit } from '@pebblestrand/core/presence'
import { whyWords } from '@pebblestrand/core/presence/words'

/** A page of the visits along one line, in seconds from its left end. */
export interface Stretch {
  visit: number
  page: number
  path: string
  from: number
  until: number
  /** Days after the first visit, where a visit begins. */
  day: number | null
}

/** Seconds of white between two visits. */
const BETWEEN = 20

export function stretchesOf({ visits }: MadeUpVisit): Stretch[] {
  const all: Stretch[] = []
  let at = 0
  for (const [visit, { afterDays, pages }] of visits.entries()) {
    if (visit) at += BETWEEN
    for (const [page, { path, stays }] of pages.entries()) {
      all.push({ visit, page, path, from: at, until: at + stays, day: page ? null : afterDays })
      at += stays
    }
  }
  return all
}

/** A time in which something was open, and a moment at which it was kept away. */
export interface Open {
  from: number
  until: number
  /** How it ended. */
  ends: Exclude<Happening['what'], 'shows' | 'held'>
}
export interface Held {
  at: number
  says: string
  collides: boolean
}

/** What happened to one, on the line. */
export function laneOf(id: string, happenings: readonly Happening[], stretches: readonly Stretch[]) {
  const place = ({ visit, page, at }: At) => {
    const stretch = stretches.find((one) => one.visit === visit && one.page === page)
    return stretch ? Math.min(stretch.from + at, stretch.until) : 0
  }
  const open: Open[] = []
  const held: Held[] = []
  let began: number | null = null
  for (const one of happenings.filter((each) => each.id === id)) {
    if (one.what === 'shows') began = place(one)
    else if (one.what === 'held') held.push({ at: place(one), says: whyWords[one.why], collides: isCollision(one) })
    else if (began !== null) {
      open.push({ from: began, until: place(one), ends: one.what })
      began = null
    }
  }
  return { open, held }
}
