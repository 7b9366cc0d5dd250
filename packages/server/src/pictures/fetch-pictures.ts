import { createHash } from 'node:crypto'
import { Op, type Transaction } from 'sequelize'
import { recomputeWidget } from '../delivery/queue-recompute'
import type { Context } from '../platform/context'
import { OutboundError } from '../platform/outbound/client'
import { job } from '../platform/queue'
import { Picture, PictureCopy } from './models'
import { copiesOf, NoPicture } from './resize'

/** A picture that could not be had is tried again after so long. */
export const AGAIN_MS = 86_400_000

/** Pictures after which a widget is drawn anew: so many make a row or two. */
const AT_ONCE = 8

/** Fetch what a widget wants to show and we do not have yet. */
export const picturesJob = job<{ widgetId: string; urls: string[] }>('pictures')

/** Fetches some pictures, each once, and has the widget drawn anew with those that came, which asks for the rest. One that does not come is left out. */
export async function fetchPictures(context: Context, { widgetId, urls }: { widgetId: string; urls: string[] }) {
  const there = await Picture.findAll({
    where: { sourceUrl: urls, triedAt: { [Op.gt]: new Date(Date.now() - AGAIN_MS) } },
  })
  const known = new Set(there.map(({ sourceUrl }) => sourceUrl))
  const wanted = urls.filter((url) => !known.has(url))
  if (!wanted.length) return
  for (const url of wanted.slice(0, AT_ONCE)) await fetchPicture(context, url)
  await context.db.transaction((transaction) => recomputeWidget(context, widgetId, transaction))
}

async function fetchPicture({ outbound, db }: Context, sourceUrl: string): Promise<void> {
  try {
    const answer = await outbound.get(sourceUrl, { accept: 'image/avif,image/webp,image/png,image/jpeg,image/gif' })
    if (answer.status >= 400) throw new NoPicture(`The address answers with error ${answer.status}.`)
    const contentHash = createHash('sha256').update(answer.body).digest('base64url').slice(0, 32)
    const copies = await copiesOf(answer.body)
    const widths = [...new Set(copies.map(({ width }) => width))].sort((a, b) => a - b)
    await db.transaction(async (transaction) => {
      await PictureCopy.bulkCreate(
        copies.map((copy) => ({ contentHash, ...copy })),
        { ignoreDuplicates: true, transaction },
      )
      await keep({ sourceUrl, contentHash, widths, problem: null }, transaction)
    })
  } catch (error) {
    if (!(error instanceof NoPicture) && !(error instanceof OutboundError)) throw error
    await keep({ sourceUrl, contentHash: null, widths: [], problem: error.message })
  }
}

const keep = (
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
