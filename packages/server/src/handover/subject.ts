import { job, work } from '../platform/queue'
import type { Subject } from '../subject'
import { contactRoutes } from './contact-routes'
import { handover as migration } from './migration'
import { defineHandover } from './models'
import { sheetPages } from './pages'
import { remindWhoIsDue } from './reminders'
import { handoverRoutes } from './routes'

const reminders = job<Record<string, never>>('reminders')

export const handover: Subject = {
  name: 'handover',
  migrations: [migration],
  models: defineHandover,
  routes(serve, context) {
    contactRoutes(serve)
    handoverRoutes(serve, context)
  },
  pages: sheetPages,
  work: [work(reminders, { seconds: 120, cron: '*/10 * * * *' }, (context) => remindWhoIsDue(context))],
}
