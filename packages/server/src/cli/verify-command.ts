import { decodeBytes } from '@pebblestrand/core/items'
import { Plan, verify, type Fetched } from '@pebblestrand/core/verify'
import type { CommandResult } from './feed-command'
import { parseHeaders, type SavedAnswer } from './headers-file'
import { readBytes } from './read-file'
import { WrongCall } from './wrong-call'

interface Options {
  page?: string
  plan?: string
  fresh?: string
  headers?: string
  strict?: boolean
}

/** Where a saved page is from, when neither plan nor headers say so. */
const NOWHERE = 'https://saved-page.invalid/'

/** `pebble verify --page FILE --plan FILE [--fresh FILE] [--headers FILE] [--strict]`. */
export function verifyCommand(options: Options, now: Date): CommandResult {
  if (!options.page || !options.plan) throw new WrongCall('verify: --page and --plan are needed.')
  const plan = readPlan(options.plan)
  const saved = options.headers ? parseHeaders(text(options.headers), options.headers) : {}
  const asked = plan.url ?? NOWHERE
  const served = answer(options.page, asked, saved.served, now)
  const fresh = options.fresh ? answer(options.fresh, asked, saved.fresh, now) : null
  const verdict = verify(plan, { served, fresh })
  return {
    lines: [{ install: plan.install, ...verdict }],
    complaints: [],
    status: options.strict && verdict.findings.length ? 1 : 0,
  }
}

const text = (file: string) => decodeBytes(readBytes(file))

function readPlan(file: string): Plan {
  let content: unknown
  try {
    content = JSON.parse(text(file))
  } catch (error) {
    if (error instanceof WrongCall) throw error
    throw new WrongCall(`${file} is not JSON.`)
  }
  const result = Plan.safeParse(content)
  if (result.success) return result.data
  throw new WrongCall(
    `${file} is not a plan: ${result.error.issues.map((i) => `${i.path.join('.') || 'it'}: ${i.message}`).join('; ')}.`,
  )
}

function answer(file: string, asked: string, saved: SavedAnswer | undefined, now: Date): Fetched {
  const url = saved?.url ?? asked
  const headers = saved?.headers ?? {}
  return {
    url,
    finalUrl: saved?.finalUrl ?? url,
    status: saved?.status ?? 200,
    headers,
    html: decodeBytes(readBytes(file), headers['content-type']),
    at: now.toISOString(),
    ms: 0,
    error: null,
  }
}
