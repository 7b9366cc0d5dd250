import { recomputeWidget } from '../artefacts/queue-recompute'
import type { Context } from '../platform/context'
import { OutboundError } from '../platform/outbound/client'
import { isDueAgain, job, stepped } from '../platform/queue'
import { keepCopies, noteMissing } from './keep-copies'
import { Picture } from './models'
import { copiesOf } from './copying/copies'
import { NoPicture } from './copying/no-picture'
import { uploadedBytes } from './uploads'

/** A picture that could not be had is tried again a day later. */
export const pictureRetries = stepped(Infinity, [24 * 60])

/** Pictures after which a widget is drawn anew: so many make a row or two. */
const AT_ONCE = 8

/** Fetch what a widget wants to show and we do not have yet. */
export const picturesJob = job<{ widgetId: string; urls: string[] }>('pictures')

/**
 * Fetches some pictures, each once, and has the widget drawn anew with those that came, which asks for the rest. One that does not
 * come is left out. Where another widget's job has fetched all of them already, the widget was drawn without them all the same.
 */
export async function fetchPictures(context: Context, { widgetId, urls }: { widgetId: string; urls: string[] }) {
  const there = await Picture.findAll({ attributes: ['sourceUrl', 'triedAt'], where: { sourceUrl: urls } })
  const known = new Set(
    there.filter(({ triedAt }) => !isDueAgain(pictureRetries, triedAt)).map(({ sourceUrl }) => sourceUrl),
  )
  const wanted = urls.filter((url) => !known.has(url))
  for (const url of wanted.slice(0, AT_ONCE)) await fetchPicture(context, url)
  await context.db.transaction((transaction) => recomputeWidget(context, widgetId, transaction))
}

async function fetchPicture(context: Context, sourceUrl: string): Promise<void> {
  try {
    const bytes = (await uploadedBytes(context, sourceUrl)) ?? (await bytesAt(context, sourceUrl))
    await keepCopies(context, sourceUrl, bytes, (await copiesOf(bytes)).copies)
  } catch (error) {
    if (!(error instanceof NoPicture) && !(error instanceof OutboundError)) throw error
    await noteMissing(sourceUrl, error.message)
  }
}

async function bytesAt({ outbound }: Context, sourceUrl: string): Promise<Uint8Array> {
  const answer = await outbound.get(sourceUrl, { accept: 'image/avif,image/webp,image/png,image/jpeg,image/gif' })
  if (answer.status >= 400) throw new NoPicture(`The address answers with error ${answer.status}.`)
  return answer.body
}
