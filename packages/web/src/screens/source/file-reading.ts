import { decodeBytes } from '@pebblestrand/core/sources/decode'
import type { ReviewField } from '@pebblestrand/core/sources/review-fields'
import type { FileReading } from '../../api/types'

/** A column is one field: whoever had it before has none. Null: the file has no such column. */
export function withColumn(reading: FileReading, field: ReviewField, column: number | null): FileReading {
  const others = Object.entries(reading.columns).filter(([name, at]) => name !== field && at !== column)
  return { ...reading, columns: { ...Object.fromEntries(others), ...(column === null ? {} : { [field]: column }) } }
}

/** A file's text: UTF-8, or, where it is none, as table programs of some systems still write it. */
export async function textOfFile(file: Blob): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer())
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return decodeBytes(bytes, 'text/csv; charset=windows-1252')
  }
}
