import { z } from 'zod'
import { WrongCall } from './wrong-call'

const Answer = z.object({
  status: z.number().int().min(100).max(599).default(200),
  url: z.url().optional(),
  finalUrl: z.url().optional(),
  headers: z.record(z.string(), z.string()).default({}),
})
const Both = z.object({ served: Answer.optional(), fresh: Answer.optional() })

/** `locations`: where each redirect before the last answer led, as it was written. */
export type SavedAnswer = z.infer<typeof Answer> & { locations?: string[] }
export type SavedAnswers = { served?: SavedAnswer; fresh?: SavedAnswer }

/**
 * What was saved of the answers beside their pages: JSON with `served` and `fresh`, or a header dump as HTTP clients
 * write it (`HTTP/1.1 200 OK`, `Name: value` lines, a block for each redirect), which then is the served page's.
 */
export function parseHeaders(text: string, file: string): SavedAnswers {
  return /^\s*\{/.test(text) ? parseJson(text, file) : { served: parseDump(text, file) }
}

function parseJson(text: string, file: string): SavedAnswers {
  try {
    return readAnswers(JSON.parse(text), file)
  } catch (error) {
    if (error instanceof WrongCall) throw error
    throw new WrongCall(`${file} is not a headers file: it is not JSON.`)
  }
}

/** Answers that were saved as JSON. Throws WrongCall that names the member. */
export function readAnswers(content: unknown, from: string): SavedAnswers {
  try {
    const result = Both.parse(content)
    for (const answer of [result.served, result.fresh])
      if (answer) answer.headers = lowerCased(Object.entries(answer.headers))
    return result
  } catch (error) {
    if (!(error instanceof z.ZodError)) throw error
    const why = error.issues.map((i) => `${i.path.join('.')}: ${i.message}`).join('; ')
    throw new WrongCall(`${from} is not a headers file: ${why}.`)
  }
}

function parseDump(text: string, file: string): SavedAnswer {
  const blocks = text
    .replace(/\r\n/g, '\n')
    .split(/\n(?=HTTP\/)/)
    .filter((block) => block.trim())
  const last = blocks.at(-1)?.split('\n') ?? []
  const status = /^HTTP\/[\d.]+ (\d{3})/.exec(last[0] ?? '')?.[1]
  if (!status) throw new WrongCall(`${file} is neither JSON nor a header dump that begins with HTTP/.`)
  const locations = blocks.slice(0, -1).flatMap((block) => /^location:\s*(\S+)/im.exec(block)?.[1] ?? [])
  const headers = lowerCased(
    last
      .slice(1)
      .flatMap((line) =>
        line.includes(':')
          ? [[line.slice(0, line.indexOf(':')), line.slice(line.indexOf(':') + 1).trim()] as [string, string]]
          : [],
      ),
  )
  return { status: Number(status), headers, locations }
}

/** A name that comes more than once has all its values (RFC 9110, section 5.3). */
function lowerCased(pairs: [string, string][]): Record<string, string> {
  const all: Record<string, string> = {}
  for (const [name, value] of pairs) {
    const key = name.trim().toLowerCase()
    all[key] = all[key] === undefined ? value : `${all[key]}, ${value}`
  }
  return all
}
