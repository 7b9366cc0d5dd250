import { leadLines, listLines, type ExportedLead } from '@pebblestrand/core/forms'
import type { LeadFilter, LeadRow } from '@pebblestrand/contract'
import { QueryTypes, type Transaction } from 'sequelize'
import type { Context } from '../platform/context'
import { inSnapshot } from '../platform/database/snapshot'
import { contentOf, type LeadContent } from './lead-content'
import { formOf, type LeadForm } from './lead-form'
import { filtered, formsWithLeads, held, listed, listedAfter, sitesWithLeads, total } from './lead-queries'

/** Answers of a lead that stand in the list. */
const FIRST = 4
/** Leads that are looked through for some words: they are sealed, and have to be read one by one. */
const MOST_SEARCHED = 5000
/** Leads in one file. */
const MOST_EXPORTED = 50_000
const BATCH = 500

export interface StoredRow extends Omit<LeadRow, 'says'> {
  release: number
  content: string
  /** Its time as the database has it, to the microsecond. */
  cursor: string
}

/** Remembers the forms that leads were asked by, for the length of one answer. */
export function formsOfLeads() {
  const known = new Map<string, Promise<LeadForm | null>>()
  return (lead: { widgetId: string; siteId: string | null; release: number }) => {
    const by = `${lead.widgetId} ${lead.release} ${lead.siteId}`
    if (!known.has(by)) known.set(by, formOf(lead))
    return known.get(by)!
  }
}

export const linesOf = (form: LeadForm | null, { responses }: LeadContent) =>
  form
    ? leadLines(form.form, responses, 'en-GB')
    : Object.entries(responses).map(([label, says]) => ({ label, says: String(says) }))

/** In batches, the newest first; each goes on after the last of the one before, whatever has come in meanwhile. */
async function* each(
  { db }: Pick<Context, 'db'>,
  filter: LeadFilter,
  most: number,
  transaction?: Transaction,
): AsyncGenerator<StoredRow> {
  const { where, bind } = filtered(filter)
  for (let read = 0, last: StoredRow | undefined; read < most; read += BATCH) {
    const after = last ? { at: last.cursor, id: last.id } : { offset: 0 }
    const rows: StoredRow[] = await db.query<StoredRow>(last ? listedAfter(where) : listed(where), {
      bind: { ...bind, ...after, limit: BATCH },
      type: QueryTypes.SELECT,
      transaction,
    })
    yield* rows
    if (rows.length < BATCH) return
    last = rows.at(-1)
  }
}

/** A page of leads. */
export async function listLeads(context: Context, filter: LeadFilter, { page, size }: { page: number; size: number }) {
  const { db, config } = context
  const form = formsOfLeads()
  const shown = async ({ content, release, cursor: _, ...row }: StoredRow) => {
    const about = await form({ ...row, release })
    const written = contentOf(config, { content })
    return { ...row, says: about ? listLines(about.form, written.responses, 'en-GB') : linesOf(about, written) }
  }
  const { where, bind } = filtered(filter)
  const ask = <T extends object>(sql: string, more: object = {}) =>
    db.query<T>(sql, { bind: { ...more }, type: QueryTypes.SELECT })
  const around = {
    held: (await ask<{ n: number }>(held))[0]!.n,
    forms: await ask<{ id: string; name: string }>(formsWithLeads),
    sites: await ask<{ id: string; name: string }>(sitesWithLeads),
  }
  const first = (row: LeadRow): LeadRow => ({ ...row, says: row.says.slice(0, FIRST) })
  if (!filter.q) {
    const rows = await ask<StoredRow>(listed(where), { ...bind, limit: size, offset: (page - 1) * size })
    const [{ n }] = (await ask<{ n: number }>(total(where), bind)) as [{ n: number }]
    return { rows: (await Promise.all(rows.map(shown))).map(first), total: n, page, size, ...around }
  }
  const wanted = filter.q.toLowerCase()
  const found: LeadRow[] = []
  for await (const row of each(context, filter, MOST_SEARCHED)) {
    const whole = await shown(row)
    const text = [...whole.says.map(({ says }) => says), whole.path, whole.widget, whole.site].join('\n').toLowerCase()
    if (text.includes(wanted)) found.push(whole)
  }
  return { rows: found.slice((page - 1) * size, page * size).map(first), total: found.length, page, size, ...around }
}

/** All that a filter means, as they leave; of one moment, whatever comes in or is changed meanwhile. */
export const exportedLeads = (context: Context, filter: LeadFilter): Promise<ExportedLead[]> =>
  inSnapshot(context.db, (transaction) => readForExport(context, filter, transaction))

async function readForExport(context: Context, filter: LeadFilter, transaction: Transaction): Promise<ExportedLead[]> {
  const all: ExportedLead[] = []
  const wanted = filter.q.toLowerCase()
  for await (const { id, at, state, isTest, widget, site, path, content } of each(
    context,
    filter,
    MOST_EXPORTED,
    transaction,
  )) {
    const { responses, consents, from, language } = contentOf(context.config, { content })
    if (wanted && !JSON.stringify(responses).toLowerCase().includes(wanted)) continue
    all.push({
      id,
      at: at.toISOString(),
      form: widget,
      site,
      page: path,
      state,
      test: isTest,
      from,
      language,
      answers: responses,
      consents,
    })
  }
  return all
}
