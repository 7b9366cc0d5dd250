import type { PresenceRules, Trigger } from './rules'
import type { Progress } from './visit'

type Fires = { [On in Trigger['on']]: (trigger: Extract<Trigger, { on: On }>, progress: Progress) => boolean }

const fires: Fires = {
  arrival: () => true,
  seconds: ({ seconds }, progress) => progress.seconds >= seconds,
  scrolled: ({ share }, { scrolled }) => scrolled >= share,
  reached: ({ selector }, { reached }) => reached.includes(selector),
  click: ({ selector }, { clicked }) => clicked.includes(selector),
  leaving: (_, { isLeaving }) => isLeaving,
  idle: ({ seconds }, { idleSeconds }) => idleSeconds >= seconds,
  call: (_, { isCalled }) => isCalled,
  fragment: ({ name }, { fragment }) => fragment === name,
}

export const hasFired = (trigger: Trigger, progress: Progress): boolean => fires[trigger.on](trigger as never, progress)

/** What a visitor asked for by themselves. */
const asked = new Set<Trigger['on']>(['click', 'call', 'fragment'])

/** Whether its triggers say that it is time; `isAsked` where the visitor wanted it, whatever the limits. */
export function triggered({ triggers, combine }: PresenceRules, progress: Progress): { is: boolean; isAsked: boolean } {
  const fired = triggers.filter((trigger) => hasFired(trigger, progress))
  const is = combine === 'all' ? fired.length === triggers.length : fired.length > 0
  return { is, isAsked: is && fired.some(({ on }) => asked.has(on)) }
}
