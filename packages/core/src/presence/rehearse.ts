import { decide, type Candidate, type Why } from './decide'
import { FORGETFUL, rememberAnswered, rememberClosed, rememberShown, type Memory } from './memory'
import { NOTHING_DONE, type Arrival, type Progress, type Visitor } from './visit'

/** What a made-up visitor does, so many seconds after arriving on the page. */
export type Step = { at: number } & (
  | { does: 'scroll'; share: number }
  | { does: 'reach' | 'click'; selector: string }
  | { does: 'leave' | 'call' | 'move' }
  /** What is open. */
  | { does: 'close' | 'answer' }
)

export interface Rehearsed {
  visitor: Visitor
  arrival: Arrival
  steps: readonly Step[]
  /** How long they stay, in seconds. */
  stays: number
  /** Seconds after which they close what they did not ask for; 0: they let it stand. */
  patience: number
  memory?: Memory
  now: Date
}

export type Happening = { at: number; id: string } & (
  | { what: 'shows' | 'closed' | 'answered' }
  /** It was its time, and something kept it from showing; said once for each reason, until it was shown. */
  | { what: 'held'; why: Why }
)

/** Of a visit; longer ones tell nothing more. */
export const LONGEST = 1800

/** Reasons that say that two of them met. */
const COLLISIONS = new Set<Why>(['another-is-open', 'pause', 'gives-way'])
export const isCollision = (one: Happening): boolean => one.what === 'held' && COLLISIONS.has(one.why)

/** What a step changes of what was done; closing and answering are no progress. */
const progressAfter = (before: Progress, step: Step): Progress => {
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
      return { ...before, isCalled: true }
    default:
      return done
  }
}

/**
 * Plays a made-up visit against everything that stands over a page, second by second, by the same code that decides there.
 * @returns what happened, in its order, and what the browser remembers afterwards
 */
export function rehearse(
  candidates: readonly Candidate[],
  { visitor, arrival, steps, stays, patience, memory: before = FORGETFUL, now }: Rehearsed,
): { happenings: Happening[]; memory: Memory } {
  const happenings: Happening[] = []
  const said = new Set<string>()
  const shownThisVisit = new Map<string, number>()
  const bySecond = grouped(steps)
  let progress: Progress = { ...NOTHING_DONE, fragment: arrival.fragment }
  let memory = before
  let open: { id: string; since: number; isAsked: boolean } | null = null
  let closedAt: number | null = null

  const close = (at: number, what: 'closed' | 'answered', moment: Date) => {
    if (!open) return
    happenings.push({ at, id: open.id, what })
    memory = what === 'answered' ? rememberAnswered(memory, open.id) : rememberClosed(memory, open.id, moment)
    open = null
    closedAt = at
  }

  for (let at = 0; at <= Math.min(stays, LONGEST); at++) {
    const moment = new Date(now.getTime() + at * 1000)
    progress = { ...progress, seconds: at, idleSeconds: at === 0 ? 0 : progress.idleSeconds + 1 }
    for (const step of bySecond.get(at) ?? []) {
      if (step.does === 'close' || step.does === 'answer')
        close(at, step.does === 'close' ? 'closed' : 'answered', moment)
      progress = progressAfter(progress, step)
    }
    const shown = open as { id: string; since: number; isAsked: boolean } | null
    if (shown && patience > 0 && !shown.isAsked && at - shown.since >= patience) close(at, 'closed', moment)
    const decisions = decide(candidates, {
      visitor,
      arrival,
      progress,
      memory,
      shownThisVisit,
      open: (open as { id: string } | null)?.id ?? null,
      sinceClosed: closedAt === null ? null : at - closedAt,
      now: moment,
    })
    for (const { id, shows, why } of decisions) {
      if (shows) {
        happenings.push({ at, id, what: 'shows' })
        shownThisVisit.set(id, (shownThisVisit.get(id) ?? 0) + 1)
        memory = rememberShown(memory, id)
        open = { id, since: at, isAsked: progress.clicked.length > 0 || progress.isCalled }
      } else if (why && why !== 'waits' && !shownThisVisit.has(id) && !said.has(`${id} ${why}`)) {
        said.add(`${id} ${why}`)
        happenings.push({ at, id, what: 'held', why })
      }
    }
    // What was asked for is heard once.
    progress = { ...progress, clicked: [], isCalled: false, isLeaving: false }
  }
  return { happenings, memory }
}

function grouped(steps: readonly Step[]): Map<number, Step[]> {
  const all = new Map<number, Step[]>()
  for (const step of steps) all.set(Math.floor(step.at), [...(all.get(Math.floor(step.at)) ?? []), step])
  return all
}
