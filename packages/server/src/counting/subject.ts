import type { Context } from '../platform/context'
import { job, work } from '../platform/queue'
import type { Subject } from '../subject'
import { visitFacts } from './facts'
import { visits } from './migration'
import { tidyCounts } from './tidy'
import { turnDays } from './turn-of-day'
import { FACT, VisitCounter } from './visits'

const visitsTurn = job<Record<string, never>>('visits-turn')
const visitsTidy = job<Record<string, never>>('visits-tidy')

/** One for each server: what it heard waits in its memory for a moment. */
const counters = new WeakMap<object, VisitCounter>()
export function counterOf(context: Context): VisitCounter {
  const known = counters.get(context.db)
  if (known) return known
  const made = new VisitCounter(context)
  counters.set(context.db, made)
  return made
}

export const counting: Subject = {
  name: 'counting',
  migrations: [visits],
  told: { count: (context, told) => counterOf(context).hear(told) },
  facts: { [FACT]: visitFacts },
  work: [
    work(visitsTurn, { seconds: 120, cron: '*/5 * * * *' }, (context) => turnDays(context)),
    // Looks through all counts: once a day, after what was removed long ago is forgotten.
    work(visitsTidy, { seconds: 300, cron: '53 3 * * *' }, tidyCounts),
  ],
  begin: async (context) => () => counterOf(context).close(),
}
