import { job, work } from '../platform/queue'
import type { Subject } from '../subject'
import { forgetOldDevices } from './devices'
import { knownSessions } from './migration'
import { defineAccounts } from './models'
import { accountRoutes } from './routes'
import { sessionRoutes } from './session-routes'
import { forgetExpired } from './sessions'

const sessionsTidy = job<Record<string, never>>('sessions-tidy')

export const accounts: Subject = {
  name: 'accounts',
  migrations: [knownSessions],
  models: defineAccounts,
  routes(serve, context) {
    accountRoutes(serve, context)
    sessionRoutes(serve)
  },
  work: [
    work(sessionsTidy, { seconds: 60, cron: '17 3 * * *' }, async () => {
      await forgetExpired()
      await forgetOldDevices()
    }),
  ],
}
