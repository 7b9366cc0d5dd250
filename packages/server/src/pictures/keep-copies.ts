import { createHash } from 'node:crypto'
import type { Transaction } from 'sequelize'
import type { Context } from '../platform/context'
import { Picture, PictureCopy } from './models'
import type { Copy } from './copying/resize'

/** Keeps our copies of a picture, under the address it came from. */
export async function keepCopies(
  { db }: Pick<Context, 'db'>,
  sourceUrl: string,
  bytes: Uint8Array,
  copies: readonly Copy[],
): Promise<void> {
  const contentHash = createHash('sha256').update(bytes).digest('base64url').slice(0, 32)
  const widths = [...new Set(copies.map(({ width }) => width))].sort((a, b) => a - b)
  await db.transaction(async (transaction) => {
    await PictureCopy.bulkCreate(
      copies.map((copy) => ({ contentHash, ...copy })),
      { ignoreDuplicates: true, transaction },
    )
    await note({ sourceUrl, contentHash, widths, problem: null }, transaction)
  })
}

/** Notes that a picture could not be had. */
export const noteMissing = (sourceUrl: string, problem: string) =>
  note({ sourceUrl, contentHash: null, widths: [], problem })

const note = (
  row: { sourceUrl: string; contentHash: string | null; widths: number[]; problem: string | null },
  transaction?: Transaction,
) =>
  Picture.upsert(
    { ...row, triedAt: new Date(), usedAt: new Date() },
    {
      conflictFields: ['source_url'] as never,
      fields: ['sourceUrl', 'contentHash', 'widths', 'problem', 'triedAt', 'usedAt'],
      transaction,
    },
  )
