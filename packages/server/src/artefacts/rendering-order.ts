import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'
import type { Context } from '../platform/context'
import type { Migration } from '../platform/database/migrations'
import { storeArtefacts, type NewArtefact } from './store-artefacts'

// Renderings of a widget may overlap: nothing is locked while one is under way. Each draws a number before it reads what it renders
// from, and never stores over what a later number has stored.

export const renderingNumbers: Migration = {
  name: '0039-rendering-numbers',
  sql: `
CREATE SEQUENCE rendering_numbers;
ALTER TABLE artefacts ADD COLUMN rendering bigint NOT NULL DEFAULT 0;`,
}

/** The number of a rendering that begins now. */
export async function nextRendering(db: Sequelize): Promise<string> {
  const [row] = await db.query<{ number: string }>(`SELECT nextval('rendering_numbers') AS number`, {
    type: QueryTypes.SELECT,
  })
  return row!.number
}

/** Waits for whoever else stores what a widget's installs serve, or takes them away; held to the transaction's end. */
export async function lockStored(
  { db }: Pick<Context, 'db'>,
  widgetId: string,
  transaction: Transaction,
): Promise<void> {
  await db.query('SELECT pg_advisory_xact_lock(hashtextextended(:widgetId, 0))', {
    replacements: { widgetId },
    transaction,
  })
}

const LATER = `SELECT DISTINCT public_id AS id FROM artefacts WHERE public_id IN (:publicIds) AND rendering > :rendering`
/** On one form of each: the others are stored with it. */
const NUMBER = `UPDATE artefacts SET rendering = :rendering WHERE public_id IN (:publicIds) AND form IN ('payload', 'thumbnail')`

/**
 * Stores what a rendering made, but for installs and lists that a later one has written already. Under `lockStored`.
 * @returns whether it wrote all there was
 */
export async function storeRendering(
  context: Context,
  rendering: string,
  made: readonly NewArtefact[],
  transaction: Transaction,
): Promise<boolean> {
  if (!made.length) return true
  const publicIds = [...new Set(made.map(({ publicId }) => publicId))]
  const later = await context.db.query<{ id: string }>(LATER, {
    replacements: { publicIds, rendering },
    type: QueryTypes.SELECT,
    transaction,
  })
  const overtaken = new Set(later.map(({ id }) => id))
  const own = made.filter(({ publicId }) => !overtaken.has(publicId))
  await storeArtefacts(context, own, transaction)
  const written = publicIds.filter((id) => !overtaken.has(id))
  if (written.length) await context.db.query(NUMBER, { replacements: { publicIds: written, rendering }, transaction })
  return !overtaken.size
}
