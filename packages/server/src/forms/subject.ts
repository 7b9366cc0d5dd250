import { job, work } from '../platform/queue'
import type { Subject } from '../subject'
import { deliverLead, deliverLost } from './deliver'
import { replyToLimited } from './reply'
import { sendDigests } from './digest'
import { formRoutes } from './form-routes'
import { runTest } from './form-test'
import { deliverJob, testJob, webhookJob } from './jobs'
import { leadRoutes } from './lead-routes'
import { confirmPages } from './confirm-pages'
import { forms as migration, replyWaits, leadClaims, leadsShown, mailsByLead } from './migration'
import { defineForms } from './models'
import { formPages } from './pages'
import { forgetOldLeads } from './retention'
import { callWaiting, callWebhook } from './webhook'

const minutely = job<Record<string, never>>('forms-minutely')
const webhooksDue = job<Record<string, never>>('webhooks-due')
const digests = job<Record<string, never>>('forms-digests')
const retention = job<Record<string, never>>('forms-retention')

/** What visitors fill in: taken, kept, answered, passed on, and deleted in time. */
export const forms: Subject = {
  name: 'forms',
  migrations: [migration, replyWaits, leadClaims, mailsByLead, leadsShown],
  models: defineForms,
  routes(serve, context) {
    formRoutes(serve, context)
    leadRoutes(serve, context)
  },
  async pages(app, context) {
    await app.register((apart) => formPages(apart, context))
    await app.register((apart) => confirmPages(apart, context))
  },
  work: [
    work(deliverJob, { seconds: 60, atOnce: 2 }, (context, { leadId }) => deliverLead(context, leadId)),
    work(webhookJob, { seconds: 60, atOnce: 2 }, (context, { leadId }) => callWebhook(context, leadId)),
    work(testJob, { seconds: 120, atOnce: 2 }, async (context, { testId }) => void (await runTest(context, testId))),
    work(minutely, { seconds: 120, cron: '* * * * *' }, async (context) => {
      await deliverLost(context)
      await replyToLimited(context)
    }),
    // Apart: a program that does not answer keeps nobody else waiting.
    work(webhooksDue, { seconds: 120, cron: '* * * * *' }, (context, _, time) =>
      callWaiting(context, new Date(), time),
    ),
    work(digests, { seconds: 120, cron: '20 * * * *' }, (context) => sendDigests(context)),
    work(retention, { seconds: 300, cron: '40 3 * * *' }, (context, _, time) =>
      forgetOldLeads(context, new Date(), time),
    ),
  ],
}
