import { verifyPage, type Look, type Plan, type Verified } from '@pebblestrand/core/verify'
import type { Context } from '../platform/context'
import { TooTangled } from '../platform/threads/threads'

/** The verdicts on what a page showed, worked out in a thread of its own. A page that cannot be read in time is one that does not answer. */
export async function judge({ threads }: Context, plans: Plan[], looks: Look[]): Promise<Verified[]> {
  try {
    return await threads.run('judge', { plans, looks }, new URL(looks[0]!.url).host)
  } catch (error) {
    if (!(error instanceof TooTangled)) throw error
    const message = `The page is too tangled to be looked through. ${error.message}`
    return verifyPage(plans, [{ ...looks[0]!, html: '', error: { code: 'tangled', message } }])
  }
}
