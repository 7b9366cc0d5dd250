import { job, work } from '../platform/queue'
import type { Subject } from '../subject'
import { swapWhatIsDue } from './due'
import { plannedSwaps } from './migration'
import { defineSwaps } from './models'
import { swapRoutes } from './routes'

const swapsDue = job<Record<string, never>>('swaps-due')

export const swaps: Subject = {
  name: 'swaps',
  migrations: [plannedSwaps],
  models: defineSwaps,
  routes: swapRoutes,
  work: [work(swapsDue, { seconds: 120, cron: '* * * * *' }, async (context) => swapWhatIsDue(context))],
}
