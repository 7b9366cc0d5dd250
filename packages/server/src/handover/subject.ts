import { job, work } from '../platform/queue'
import type { Subject } from '../subject'
import { sheetPages } from './pages'
import { remindWhoIsDue } from './reminders'
import { handoverRoutes } from './routes'

const reminders = job<Record<string, never>>('reminders')

export const handover: Subject = {
  name: 'handover',
  routes: handoverRoutes,
  pages: sheetPages,
  work: [work(reminders, { seconds: 120, cron: '*/10 * * * *' }, (context) => remindWhoIsDue(context))],
}
