import { decodeBytes } from '@pebblestrand/core/sources'
import { Plan, type Look } from '@pebblestrand/core/verify'
import type { LookId } from '@pebblestrand/core/verify/words'
import { parseHeaders, readAnswers, type SavedAnswer, type SavedAnswers } from './headers-file'
import { readBytes } from './read-file'
import { WrongCall } from './wrong-call'

/** Pages that were saved, by their files; plan and headers may be written out instead. */
export interface SavedPages {
  page: string
  plan: unknown
  fresh?: string
  headers?: unknown
}

/** Where a saved page is from, when neither plan nor headers say so. */
const NOWHERE = 'https://saved-page.invalid/'

export const textOf = (file: string) => decodeBytes(readBytes(file))

/** A plan from a file, or as it is. Throws WrongCall that names the field. */
export function planFrom(given: unknown): Plan {
  const [content, name] = typeof given === 'string' ? [jsonOf(given), given] : [given, 'plan']
  const result = Plan.safeParse(content)
  if (result.success) return result.data
  throw new WrongCall(
    `${name} is not a plan: ${result.error.issues.map((i) => `${i.path.join('.') || 'it'}: ${i.message}`).join('; ')}.`,
  )
}

function jsonOf(file: string): unknown {
  try {
    return JSON.parse(textOf(file))
  } catch (error) {
    if (error instanceof WrongCall) throw error
    throw new WrongCall(`${file} is not JSON.`)
  }
}

/** The looks that saved pages stand for: as served, and past the cache where that was saved as well. */
export function looksFrom({ page, fresh, headers }: SavedPages, plan: Plan, now: Date): Look[] {
  const saved: SavedAnswers =
    typeof headers === 'string'
      ? parseHeaders(textOf(headers), headers)
      : headers
        ? readAnswers(headers, 'headers')
        : {}
  const asked = plan.url ?? NOWHERE
  const served = lookOf('served', page, asked, saved.served, now)
  if (!fresh) return [served]
  // Where nothing was saved of it, it came from where the served page came from.
  const past = saved.fresh ?? { status: 200, headers: {}, finalUrl: served.finalUrl }
  return [served, lookOf('fresh', fresh, asked, past, now)]
}

function lookOf(how: LookId, file: string, asked: string, saved: SavedAnswer | undefined, now: Date): Look {
  const url = saved?.url ?? asked
  const headers = saved?.headers ?? {}
  return {
    how,
    url,
    finalUrl: saved?.finalUrl ?? led(url, saved?.locations ?? []),
    status: saved?.status ?? 200,
    headers,
    html: decodeBytes(readBytes(file), headers['content-type']),
    at: now.toISOString(),
    ms: 0,
    error: null,
  }
}

/** Where redirects lead, each against the one before (RFC 9110, section 10.2.2). */
const led = (url: string, locations: readonly string[]) =>
  locations.reduce((from, to) => (URL.canParse(to, from) ? new URL(to, from).href : from), url)
