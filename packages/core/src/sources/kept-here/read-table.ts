import { CsvError, parse } from 'csv-parse/sync'

/** Rows of a file, each with the line it begins on, from 1. */
export interface Table {
  heads: string[]
  rows: { line: number; cells: string[] }[]
}

export class TableError extends Error {
  constructor(
    readonly line: number | null,
    message: string,
  ) {
    super(message)
  }
}

const DELIMITERS = [',', ';', '\t', '|'] as const
const MOST = { rows: 20_000, columns: 100 }

/**
 * Reads CSV (RFC 4180), also with semicolons, tabs or bars between the columns as other programs write it; the first row
 * holds the columns' names. Throws a TableError with the line where it breaks off.
 */
export function readTable(text: string): Table {
  const body = text.replace(/^\uFEFF/, '')
  if (!body.trim()) throw new TableError(null, 'The file is empty.')
  const [heads, ...rows] = records(body, delimiterOf(body))
  if (!heads || heads.cells.length > MOST.columns)
    throw new TableError(1, `The file has more than ${MOST.columns} columns.`)
  if (!rows.length) throw new TableError(null, 'The file has names of columns and no rows.')
  if (rows.length > MOST.rows)
    throw new TableError(
      null,
      `The file has more than ${MOST.rows.toLocaleString('en')} rows. Split it and import the parts one by one.`,
    )
  return { heads: heads.cells.map((head, at) => head.trim() || `Column ${at + 1}`), rows }
}

/** The one that cuts the first rows into the most columns, the same number in each. */
function delimiterOf(text: string): string {
  const beginning = text.slice(0, 20_000)
  const score = (delimiter: string) => {
    const counts = lenient(beginning, delimiter).map((cells) => cells.length)
    const [first = 1] = counts
    const alike = counts.filter((count) => count === first).length / Math.max(1, counts.length)
    return first > 1 ? first * alike * alike : 0
  }
  const scored = DELIMITERS.map((delimiter) => ({ delimiter, points: score(delimiter) }))
  return scored.reduce((best, one) => (one.points > best.points ? one : best)).delimiter
}

function lenient(text: string, delimiter: string): string[][] {
  try {
    return parse(text, { delimiter, relax_column_count: true, relax_quotes: true, to: 20, skip_empty_lines: true })
  } catch {
    return []
  }
}

function records(text: string, delimiter: string): Table['rows'] {
  try {
    const read = parse(text, {
      delimiter,
      relax_column_count: true,
      relax_quotes: true, // 34°5'6" is written without more of them, whatever the standard says
      skip_empty_lines: true,
      info: true,
      to: MOST.rows + 2, // with the names of the columns, one row more than there may be
    }) as unknown as { info: { lines: number }; record: string[] }[]
    // `info.lines` is the line a record ends on: those that hold line breaks begin as many before.
    return read.map(({ info, record }) => ({
      line: info.lines - record.reduce((sum, cell) => sum + (cell.match(/\n|\r(?!\n)/g)?.length ?? 0), 0),
      cells: record,
    }))
  } catch (error) {
    if (!(error instanceof CsvError)) throw error
    const line = (error as unknown as { lines?: number }).lines ?? null
    throw new TableError(
      line,
      `${line ? `Line ${line}` : 'The file'} begins a text with a quotation mark that is not closed.`,
    )
  }
}
