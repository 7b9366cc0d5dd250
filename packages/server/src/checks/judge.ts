import { verify, type Evidence, type Plan, type Verdict } from '@pebblestrand/core/verify'
import type { Context } from '../platform/context'
import { TooTangled } from '../platform/threads/threads'

/** The verdict on what was fetched, worked out in a thread of its own. A page that cannot be read in time is one that does not answer. */
export async function judge({ threads }: Context, plan: Plan, evidence: Evidence): Promise<Verdict> {
  try {
    return await threads.run('judge', { plan, evidence })
  } catch (error) {
    if (!(error instanceof TooTangled)) throw error
    const message = `The page is too tangled to be looked through. ${error.message}`
    const served = { ...evidence.served, html: '', error: { code: 'tangled', message } }
    return verify(plan, { served, fresh: null })
  }
}
