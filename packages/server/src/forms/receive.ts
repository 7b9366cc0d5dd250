import { consentsOf, countsAfter, mailsIn, type Responses } from '@pebblestrand/core/forms'
import type { HeldFor } from '@pebblestrand/contract'
import { QueryTypes, type Transaction } from 'sequelize'
import type { Context } from '../platform/context'
import { deliverJob } from './jobs'
import { keepAll, keeperOf, type LeadRowToKeep } from './keep-leads'
import type { KnownForm } from './known-forms'
import { sealed } from './lead-content'
import { hashKey } from '../accounts/instance-secret'
import { mailHash } from './mail-hash'

/** What was filled in and found well, and what is known of how it came. */
export interface Taken {
  key: string
  responses: Responses
  /** Path of the page; '' where nobody said. */
  path: string
  from: string
  language: string
  heldFor: HeldFor | null
  /** Why no reply goes out. */
  noReply?: 'network'
  isTest: boolean
}

const COUNT = `
INSERT INTO poll_counts (widget_id, field, value, count) SELECT $widgetId, c.field, c.value, 1
FROM jsonb_to_recordset($counts) AS c(field text, value text) ORDER BY 2, 3
ON CONFLICT (widget_id, field, value) DO UPDATE SET count = poll_counts.count + 1`

/** Whether anything is done with a lead beyond keeping it. */
const isPassedOn = ({ delivery: { reply, noteAgency, noteClient, webhook } }: KnownForm) =>
  reply || noteAgency !== 'none' || noteClient !== 'none' || webhook !== ''

/**
 * Keeps a lead, and queues what is done with it, in one transaction: neither is there without the other.
 * @returns its id, null where it had been kept before
 */
export async function receive(
  context: Context,
  known: KnownForm,
  taken: Taken,
  at = new Date(),
): Promise<string | null> {
  const counts = taken.heldFor || taken.isTest ? [] : countsAfter(known.form, taken.responses)
  const passes = !taken.heldFor && isPassedOn(known)
  const row = await rowOf(context, known, taken, at, passes)
  const { db, queue } = context
  if (!counts.length && !passes) return keeperOf(db).keep(row)
  return db.transaction(async (transaction) => {
    const [id] = (await keepAll(db, [row], transaction)).values()
    if (!id) return null
    if (counts.length) await count(context, known.widgetId, counts, transaction)
    // A test is followed by whoever sent it.
    if (passes && !taken.isTest) await queue.sendMany(deliverJob, [{ leadId: id }], transaction)
    return id
  })
}

async function rowOf(
  { config }: Context,
  known: KnownForm,
  taken: Taken,
  at: Date,
  passes: boolean,
): Promise<LeadRowToKeep> {
  const { key, responses, path, from, language, heldFor, noReply, isTest } = taken
  const hashed = await hashKey(config)
  const consents = consentsOf(known.form, responses, { release: known.release, at })
  return {
    publicId: known.publicId,
    key,
    widgetId: known.widgetId,
    siteId: known.siteId || null,
    path,
    release: known.release,
    state: heldFor ? 'held' : 'new',
    heldFor,
    isTest,
    content: sealed(config, { responses, consents, from, language, ...(noReply ? { noReply } : {}) }),
    hashes: [...new Set(mailsIn(known.form, responses).map((mail) => mailHash(hashed, mail)))],
    at,
    deliveredAt: heldFor || passes ? null : at,
  }
}

/** Adds to the counts of a poll, which say nothing of who answered. */
export const count = (
  { db }: Pick<Context, 'db'>,
  widgetId: string,
  counts: readonly { field: string; value: string }[],
  transaction: Transaction,
) => db.query(COUNT, { bind: { widgetId, counts: JSON.stringify(counts) }, transaction })

/** What all answered so far, by field and value. */
export async function countsFor({ db }: Pick<Context, 'db'>, widgetId: string) {
  const rows = await db.query<{ field: string; value: string; count: number }>(
    'SELECT field, value, count FROM poll_counts WHERE widget_id = $widgetId',
    { bind: { widgetId }, type: QueryTypes.SELECT },
  )
  const counts: Record<string, Record<string, number>> = {}
  for (const { field, value, count } of rows) (counts[field] ??= {})[value] = count
  return counts
}
