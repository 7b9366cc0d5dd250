import type { FileReading, ReadFile } from '@pebblestrand/contract'
import { merge } from '@pebblestrand/core/sources/review-file'
import type { Context } from '../../platform/context'
import { AppError } from '../../platform/errors'
import type { Source } from '../models'
import { readBrought } from '../read-brought'
import { storedEntries } from '../store-items'
import { store } from './store'

/** Faults that are told with their cells; of the rest only the count. */
const MOST_FAULTS = 200
/** Ways of reading that are remembered of one source. */
const MOST_KNOWN = 20

type Known = Record<string, FileReading>
const knownOf = ({ state }: Source) => (state?.readings ?? {}) as Known

/**
 * Reads a file of reviews: which column is what, what is wrong by line and column, and what it would add and change. Kept all
 * at once or not at all; how it was read is remembered for files with the same columns.
 */
export async function importFile(
  context: Context,
  source: Source,
  {
    text,
    reading,
    keep,
  }: { text: string; reading?: FileReading | null; keep: 'no' | 'if all are right' | 'those that are right' },
): Promise<ReadFile> {
  const read = await inThread(context, source, text, reading ?? null)
  const faulty = new Set(read.faults.map(({ line }) => line)).size
  const [stored] = await storedEntries([source.id])
  const { entries, ...counts } = merge(stored!.entries, read.rows)
  const isKept = keep === 'those that are right' || (keep === 'if all are right' && !faulty)
  if (isKept) {
    const readings = Object.entries({ ...knownOf(source), [read.heads.join('\n')]: read.reading }).slice(-MOST_KNOWN)
    await store(context, source, entries, { state: { ...source.state, readings: Object.fromEntries(readings) } })
  }
  const { heads, sample, known, total } = read
  return {
    heads,
    sample,
    reading: read.reading,
    known,
    rows: total,
    faults: read.faults.slice(0, MOST_FAULTS),
    faulty,
    ...counts,
    kept: isKept,
  }
}

async function inThread(context: Context, source: Source, text: string, asked: FileReading | null) {
  const read = await readBrought(context, 'readReviewFile', { text, asked, known: knownOf(source) }, source.id)
  if ('message' in read)
    throw new AppError('no-table', { message: read.message, issues: [{ field: 'text', message: read.message }] })
  return read
}
