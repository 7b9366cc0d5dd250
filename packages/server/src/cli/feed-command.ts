import { ArticleBody, type Entry } from '@pebblestrand/core/items'
import { decodeBytes, SourceError, sourceKinds } from '@pebblestrand/core/sources'
import { readBytes } from './read-file'
import { WrongCall } from './wrong-call'

/** One line for one file: what was read, or why it could not be. */
export function feedLine(file: string, base: string | null): Record<string, unknown> {
  const text = decodeBytes(readBytes(file))
  try {
    const { format, title, link, language, entries } = sourceKinds.feed!.document!.read(text, base)
    return { file, kind: format, title, link, language, items: entries.map(itemLine) }
  } catch (error) {
    if (!(error instanceof SourceError)) throw error
    return { file, error: { code: error.code, message: error.message, remedy: error.remedy } }
  }
}

/** An item as one flat record. */
function itemLine({ key, author, publishedAt, link, labels, body }: Entry) {
  const { title, text, html, picture } = ArticleBody.parse(body)
  return { id: key, title, text, html, author, publishedAt, link, picture, labels }
}

export interface CommandResult {
  lines: unknown[]
  /** Said on standard error. */
  complaints: string[]
  status: 0 | 1 | 2
}

/** `pebble feed FILE... [--base URL] [--strict]`. A file that cannot be read does not keep the others from being read. */
export function feedCommand(files: string[], options: { base?: string; strict?: boolean }): CommandResult {
  if (!files.length) throw new WrongCall('feed: name at least one file.')
  if (options.base !== undefined && !URL.canParse(options.base))
    throw new WrongCall(`--base: ${options.base} is not an address.`)
  const result: CommandResult = { lines: [], complaints: [], status: 0 }
  for (const file of files) {
    try {
      const line = feedLine(file, options.base ?? null)
      result.lines.push(line)
      if (line.error && options.strict && result.status === 0) result.status = 1
    } catch (error) {
      if (!(error instanceof WrongCall)) throw error
      result.complaints.push(error.message)
      result.status = 2
    }
  }
  return result
}
