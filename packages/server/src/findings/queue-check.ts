import type { Transaction } from 'sequelize'
import type { Context } from '../platform/context'
import { job, WAITED_FOR } from '../platform/queue'
import { Page, Site } from '../sites/models'
import { Check, isPersons, type CheckCause } from './models'

/** Seconds that a look at a page may take. */
export const LOOK_SECONDS = 120

/** Look at a page and judge every install on it that waits for a check; each site takes its turns. */
export const lookJob = job<{ pageId: string; share: string }>('look')

/**
 * The same with a browser. A line of its own: there are few browsers, and a job's time begins with its turn.
 */
export const browserLookJob = job<{ pageId: string; share: string }>('look-in-browser')

/** Looks at pages, by the site whose turn they take. */
export async function looksAt(pageIds: readonly string[], transaction: Transaction) {
  const pages = await Page.findAll({ where: { id: [...new Set(pageIds)] }, include: Site, transaction })
  return pages.map((page) => ({ pageId: page.id, share: new URL(page.Site!.origin).host }))
}

/** Asks for a check; one that waits its turn already is given instead. A running one may predate what is to be checked. */
export async function queueCheck(
  { db, queue }: Context,
  install: { id: string; pageId: string },
  cause: CheckCause,
  userId: string | null,
): Promise<string> {
  return db.transaction(async (transaction) => {
    const waiting = await Check.findOne({ where: { installId: install.id, state: 'queued' }, transaction })
    if (waiting) {
      // Also where a round has asked already.
      if (isPersons(cause)) await waiting.update({ cause, askedBy: userId }, { transaction })
      return waiting.id
    }
    const check = await Check.create({ installId: install.id, cause, askedBy: userId }, { transaction })
    const priority = isPersons(cause) ? WAITED_FOR : 0
    await queue.sendMany(lookJob, await looksAt([install.pageId], transaction), transaction, priority)
    return check.id
  })
}
