import { languageTag } from '../../words'
import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import type { Entry } from '../../items'
import { folded } from '../../sieve/keywords'
import { withFormulas } from '../../text/formulas'
import { absolute } from '../links'
import { plainText } from '../sanitise'
import type { ReviewField } from './fields'
import type { Reading } from './guess-columns'
import type { Table } from './read-table'
import { dateIn, ratingIn } from './values'

/** What is wrong in one cell, with the words that stand there. */
export interface CellFault {
  line: number
  field: ReviewField
  /** The column's name in the file; '' where the row has none. */
  column: string
  shown: string
  message: string
  /** The whole row as it stands in the file. */
  row: string[]
}

/** An entry with the line it stands on. */
export interface ReadRow {
  line: number
  entry: Entry
}

/** Every row as a review, or what is wrong with it; one faulty cell makes the row faulty. */
export function readRows(table: Table, reading: Reading): { rows: ReadRow[]; faults: CellFault[] } {
  const rows: ReadRow[] = []
  const faults: CellFault[] = []
  for (const { line, cells } of table.rows) {
    const own: CellFault[] = []
    const cell = (field: ReviewField) => {
      const column = reading.columns[field]
      return column === undefined ? '' : (cells[column]?.trim() ?? '')
    }
    const fault = (field: ReviewField, message: string) => {
      const column = reading.columns[field]
      own.push({
        line,
        field,
        column: column === undefined ? '' : table.heads[column]!,
        shown: cell(field),
        message,
        row: cells,
      })
      return null
    }
    if (cells.length > table.heads.length)
      fault(
        'text',
        `the row has ${cells.length} columns, the first row has ${table.heads.length}: a text with a separator in it needs quotation marks`,
      )
    const rating = cell('rating')
      ? (ratingIn(cell('rating'), reading.best) ?? fault('rating', `is no rating from 1 to ${reading.best}`))
      : null
    const publishedAt = cell('date')
      ? (dateIn(cell('date'), reading.dates) ?? fault('date', 'is no date that is known here'))
      : null
    const link = cell('link') ? (absolute(cell('link'), null) ?? fault('link', 'is no http or https address')) : null
    const text = plain(cell('text'))
    if (!text && !cell('rating')) fault('text', 'is empty, and so are the stars')
    if (own.length) faults.push(...own)
    else
      rows.push({
        line,
        entry: {
          key: cell('id') ? `id:${cell('id')}` : '',
          author: cell('author') || null,
          publishedAt,
          link,
          language: languageTag(cell('language')),
          labels: cell('labels')
            .split(/[,;|]/)
            .map((label) => label.trim())
            .filter(Boolean),
          body: {
            type: 'review',
            rating,
            title: plain(cell('title')),
            text,
            authorPicture: null,
            pictures: [],
            reply: cell('reply') ? { author: null, text: plain(cell('reply')), at: null } : null,
          },
        },
      })
  }
  return { rows: keyed(rows), faults }
}

/** A cell that was kept from being a formula by an apostrophe loses it (OWASP, CSV injection). */
const plain = (text: string) => {
  const freed = withFormulas(text)
  return /<[a-z/!]|&[a-z#]/i.test(freed) ? plainText(freed) : freed.replace(/\s+/g, ' ').trim()
}

/** By its id, else by author and day; the second of one author on one day is told apart by its place in the file. */
function keyed(rows: ReadRow[]): ReadRow[] {
  const seen = new Map<string, number>()
  return rows.map(({ line, entry }) => {
    const base = entry.key || sameness(entry)
    const times = (seen.get(base) ?? 0) + 1
    seen.set(base, times)
    return { line, entry: { ...entry, key: times > 1 ? `${base}#${times}` : base } }
  })
}

/** What makes a review the same at a later import; where neither author nor date is known, its words. */
export function sameness({ author, publishedAt, body }: Entry): string {
  if (author && publishedAt) return `by:${folded(author)}|${publishedAt.slice(0, 10)}`
  return `hash:${bytesToHex(sha256(utf8ToBytes(`${folded(author ?? '')}\n${publishedAt ?? ''}\n${folded(body.text)}`))).slice(0, 32)}`
}
