import { matchesPattern } from '../page-patterns'
import { decide, type Candidate, type Why } from './decide'
import { rememberAnswered, rememberClosed, rememberSeen, rememberShown, type Memory } from './memory'
import { NOTHING_DONE, type Progress, type Visitor } from './visit'

/** What a made-up visitor does, so many seconds after arriving on a page. */
export type Step = { at: number } & (
  | { does: 'scroll'; share: number }
  | { does: 'reach' | 'click'; selector: string }
  | { does: 'leave' | 'call' | 'move' }
  /** What is open. */
  | { does: 'close' | 'answer' }
)

export interface PageStay {
  path: string
  /** What follows `?` and `#`, without them; '' for nothing. */
  query: string
  fragment: string
  /** Address that led here; '' where none is told. */
  referrer: string
  /** Seconds. */
  stays: number
  steps: readonly Step[]
}

export interface MadeUpVisitor {
  visitor: Visitor
  /** How often they come; the first on day 0. */
  visits: readonly { afterDays: number; pages: readonly PageStay[] }[]
  /** Seconds after which they close what they did not ask for; 0: they let it stand. */
  patience: number
  /** What their browser remembers beforehand; null for somebody new. */
  memory: Memory | null
  /** When the visit of day 0 begins. */
  begins: Date
  /** IANA, of the site. */
  timeZone: string
}

/** Something over the page as it is installed. */
export interface Placed extends Candidate {
  /** Path or pattern of the pages that it is installed on. */
  on: string
}

/** When: in which visit and on which page of it, each from 0, and seconds since the page was opened. */
export interface At {
  visit: number
  page: number
  at: number
}

export type Happening = At & { id: string } & (
    | { what: 'shows' | 'closed' | 'answered' }
    /** The visitor went on, or something they asked for took its place. */
    | { what: 'left' | 'replaced' }
    /** Something kept it from showing; said once for each reason on each page, until it was shown. */
    | { what: 'held'; why: Why }
  )

/** What became of one in all visits. */
export interface Outcome {
  id: string
  /** How often it was shown, and how often without having been asked for. */
  shown: number
  unasked: number
  /** What kept it away where it was never shown: of several reasons the one that came nearest to showing. `elsewhere`: on no page of the visits. */
  why: Why | 'elsewhere' | null
}

export interface Rehearsal {
  happenings: Happening[]
  outcomes: Outcome[]
  memory: Memory | null
}

/** Seconds of a page, and pages and visits that are played: longer ones tell nothing more. */
export const LONGEST = { seconds: 1800, pages: 40, visits: 40 }

/** Reasons that say that two of them met. */
const COLLISIONS = new Set<Why>(['another-is-open', 'pause', 'gives-way'])
export const isCollision = (one: Happening): boolean => one.what === 'held' && COLLISIONS.has(one.why)

/** How near to showing something came, by what held it. */
const nearness = (why: Why): number => (COLLISIONS.has(why) ? 3 : LIMITS.has(why) ? 2 : why === 'waits' ? 1 : 0)
const LIMITS = new Set<Why>([
  'shown-here',
  'closed-lately',
  'answered',
  'shown-this-visit',
  'shown-in-all',
  'nothing-done',
])

const DAY_MS = 86_400_000

/** What a step changes of what was done on a page; closing and answering are no progress of their own. */
const progressAfter = (before: Progress, step: Step, here: readonly Placed[]): Progress => {
  const done = { ...before, hasDone: true, idleSeconds: 0 }
  switch (step.does) {
    case 'scroll':
      return { ...done, scrolled: Math.max(before.scrolled, step.share) }
    case 'reach':
      return { ...done, reached: [...before.reached, step.selector] }
    case 'click':
      return { ...done, clicked: [...before.clicked, step.selector] }
    case 'leave':
      return { ...before, isLeaving: true }
    case 'call':
      return { ...before, called: here.map(({ id }) => id) }
    default:
      return done
  }
}

/** One page being visited. */
class Stay {
  readonly happenings: Happening[] = []
  readonly held = new Map<string, Why[]>()
  readonly shows: { id: string; isAsked: boolean }[] = []
  /** What is open, since which second. */
  private open: { id: string; since: number; isAsked: boolean }[] = []
  private readonly here: readonly Placed[]

  constructor(
    candidates: readonly Placed[],
    private readonly made: MadeUpVisitor,
    private readonly page: PageStay,
    private readonly place: Omit<At, 'at'>,
    private readonly began: Date,
    public memory: Memory | null,
  ) {
    this.here = candidates.filter(({ on }) => matchesPattern(on, page.path))
  }

  play(): void {
    const { page, made } = this
    const steps = bySecond(page.steps)
    let progress: Progress = { ...NOTHING_DONE, fragment: page.fragment }
    for (let at = 0; at <= Math.min(page.stays, LONGEST.seconds); at++) {
      const now = new Date(this.began.getTime() + at * 1000)
      this.memory = rememberSeen(this.memory, now)
      progress = { ...progress, seconds: at, idleSeconds: at === 0 ? 0 : progress.idleSeconds + 1 }
      for (const step of steps.get(at) ?? []) {
        if (step.does === 'close') this.closeLast('closed', at, now)
        if (step.does === 'answer') this.closeLast('answered', at, now)
        progress = progressAfter(progress, step, this.here)
      }
      for (const { id, since, isAsked } of [...this.open])
        if (made.patience > 0 && !isAsked && at - since >= made.patience) this.close(id, 'closed', at, now)
      this.decide(progress, at, now)
      // What was asked for is heard once, and so is the wish to leave.
      progress = { ...progress, clicked: [], called: [], isLeaving: false }
    }
    for (const { id } of this.open) this.say(page.stays, id, { what: 'left' })
  }

  private decide(progress: Progress, at: number, now: Date): void {
    const { path, query, fragment, referrer } = this.page
    const decisions = decide(this.here, {
      visitor: this.made.visitor,
      arrival: { path, query, fragment, referrer, timeZone: this.made.timeZone },
      progress,
      memory: this.memory!,
      open: this.open.map(({ id }) => id),
      shown: this.shows.map(({ id }) => id),
      now,
    })
    for (const { id, shows, why, isAsked } of decisions) {
      if (shows) this.show(id, isAsked, at)
      else if (why) this.hold(id, why, at)
    }
  }

  private show(id: string, isAsked: boolean, at: number): void {
    const isBeside = (one: string) => this.here.find((other) => other.id === one)!.rules.beside
    if (!isBeside(id))
      for (const other of [...this.open])
        if (!isBeside(other.id)) {
          this.open = this.open.filter((one) => one !== other)
          this.say(at, other.id, { what: 'replaced' })
        }
    this.say(at, id, { what: 'shows' })
    this.memory = rememberShown(this.memory!, id)
    this.shows.push({ id, isAsked })
    this.open.push({ id, since: at, isAsked })
  }
  private hold(id: string, why: Why, at: number): void {
    const known = this.held.get(id) ?? []
    if (this.shows.some((one) => one.id === id) || known.includes(why)) return
    this.held.set(id, [...known, why])
    if (why !== 'waits') this.say(at, id, { what: 'held', why })
  }

  private closeLast(what: 'closed' | 'answered', at: number, now: Date): void {
    const last = this.open.at(-1)
    if (last) this.close(last.id, what, at, now)
  }
  private close(id: string, what: 'closed' | 'answered', at: number, now: Date): void {
    this.open = this.open.filter((one) => one.id !== id)
    this.memory = (what === 'answered' ? rememberAnswered : rememberClosed)(this.memory!, id, now)
    this.say(at, id, { what })
  }
  private say(
    at: number,
    id: string,
    what: { what: 'shows' | 'closed' | 'answered' | 'left' | 'replaced' } | { what: 'held'; why: Why },
  ): void {
    this.happenings.push({ ...this.place, at, id, ...what })
  }
}

/**
 * Plays a made-up visitor's visits against everything that stands over the pages of a site, second by second, by the same code that
 * decides there.
 * @returns what happened, in its order; what became of each; what the browser remembers afterwards
 */
export function rehearse(candidates: readonly Placed[], made: MadeUpVisitor): Rehearsal {
  const happenings: Happening[] = []
  const outcomes = new Map(
    candidates.map(({ id }): [string, Outcome] => [id, { id, shown: 0, unasked: 0, why: 'elsewhere' }]),
  )
  let { memory } = made
  for (const [visit, { afterDays, pages }] of made.visits.slice(0, LONGEST.visits).entries()) {
    let at = made.begins.getTime() + afterDays * DAY_MS
    for (const [number, page] of pages.slice(0, LONGEST.pages).entries()) {
      const stay = new Stay(candidates, made, page, { visit, page: number }, new Date(at), memory)
      stay.play()
      happenings.push(...stay.happenings)
      for (const { id, isAsked } of stay.shows) {
        const outcome = outcomes.get(id)!
        outcomes.set(id, { id, shown: outcome.shown + 1, unasked: outcome.unasked + (isAsked ? 0 : 1), why: null })
      }
      for (const [id, reasons] of stay.held) outcomes.set(id, nearer(outcomes.get(id)!, reasons))
      memory = stay.memory
      at += page.stays * 1000
    }
  }
  return { happenings, outcomes: [...outcomes.values()], memory }
}

function nearer(outcome: Outcome, reasons: readonly Why[]): Outcome {
  if (outcome.shown) return outcome
  const near = (why: Outcome['why']) => (why === null || why === 'elsewhere' ? -1 : nearness(why))
  const best = reasons.reduce<Outcome['why']>((a, b) => (near(b) > near(a) ? b : a), outcome.why)
  return { ...outcome, why: best }
}

function bySecond(steps: readonly Step[]): Map<number, Step[]> {
  const all = new Map<number, Step[]>()
  for (const step of steps) all.set(Math.floor(step.at), [...(all.get(Math.floor(step.at)) ?? []), step])
  return all
}
