import { job } from '../platform/queue'

/** Does what is to be done with a lead. */
export const deliverJob = job<{ leadId: string }>('deliver-lead')
/** Tells the agency's own program of one. */
export const webhookJob = job<{ leadId: string }>('call-webhook')
/** Sends a test submission and follows it. */
export const testJob = job<{ testId: string }>('test-form')
