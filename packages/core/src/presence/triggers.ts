import type { PresenceRules, Trigger } from './rules'
import type { Progress } from './visit'

type Fires = {
  [On in Trigger['on']]: (trigger: Extract<Trigger, { on: On }>, progress: Progress, id: string) => boolean
}

const fires: Fires = {
  arrival: () => true,
  seconds: ({ seconds }, progress) => progress.seconds >= seconds,
  scrolled: ({ share }, { scrolled }) => scrolled >= share,
  reached: ({ selector }, { reached }) => reached.includes(selector),
  click: ({ selector }, { clicked }) => clicked.includes(selector),
  leaving: (_, { isLeaving }) => isLeaving,
  idle: ({ seconds }, { idleSeconds }) => idleSeconds >= seconds,
  call: (_, { called }, id) => called.includes(id),
  fragment: ({ name }, { fragment }) => fragment === name,
}

/** @param id of what it is a trigger of */
export const hasFired = (trigger: Trigger, progress: Progress, id: string): boolean =>
  fires[trigger.on](trigger as never, progress, id)

/** What a visitor asks for by themselves; by a press or a script's call as often as they like, by an address once on a page. */
const asks = new Set<Trigger['on']>(['click', 'call', 'fragment'])
const asksAgain = new Set<Trigger['on']>(['click', 'call'])

/**
 * Whether its triggers say that it is time; `isAsked` where the visitor wanted it, whatever the limits. What was shown on the page
 * already comes again there only where it is pressed for: what sets it off by itself does so once on a page.
 */
export function triggered(
  { id, rules: { triggers, combine } }: { id: string; rules: PresenceRules },
  progress: Progress,
  wasShown: boolean,
): { is: boolean; isAsked: boolean } {
  const fired = triggers.filter((trigger) => hasFired(trigger, progress, id))
  const is = combine === 'all' ? fired.length === triggers.length : fired.length > 0
  const asked = wasShown ? asksAgain : asks
  return { is, isAsked: is && fired.some(({ on }) => asked.has(on)) }
}
