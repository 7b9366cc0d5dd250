import { verify, type Finding, type Look, type Plan } from '@pebblestrand/core/verify'
import { plainLookIds } from '@pebblestrand/core/verify/words'
import { lookAt } from '../looks/fetch-page'
import { Outbound } from '../platform/outbound/client'
import type { CommandResult } from './feed-command'
import { looksFrom, planFrom, textOf } from './saved-pages'
import { WrongCall } from './wrong-call'

interface Options {
  page?: string
  plan?: string
  fresh?: string
  headers?: string
  /** Look there instead of at saved pages. */
  url?: string
  /** Pages under development, on this machine or in a network of one's own. */
  'allow-private'?: boolean
  /** With a browser at three widths as well. */
  browser?: boolean
  jobs?: string
  strict?: boolean
}

/** `pebble verify`, in one of its three ways: saved pages, a page on the web, a file of jobs. */
export async function verifyCommand(options: Options, now: Date): Promise<CommandResult> {
  if (options.jobs) return runJobs(options.jobs, options, now)
  if (!(options.page || options.url) || !options.plan)
    throw new WrongCall('verify: --page (or --url) and --plan are needed; or --jobs.')
  if (options.browser && !options.url) throw new WrongCall('verify: --browser looks at an address: give --url.')
  if (options.page && options.url) throw new WrongCall('verify: give --page or --url, not both.')
  const plan = planFrom(options.plan)
  const looks = options.url
    ? await looksThere(options.url, plan, options)
    : looksFrom({ ...options, page: options.page!, plan: options.plan }, plan, now)
  return resultOf([lineFor(plan, looks)], options)
}

const resultOf = (lines: VerifyLine[], { strict }: Options): CommandResult => ({
  lines,
  complaints: [],
  status: strict && lines.some(({ findings }) => findings.length) ? 1 : 0,
})

type VerifyLine = ReturnType<typeof lineFor>

function lineFor(plan: Plan, looks: readonly Look[]) {
  const verdict = verify(plan, looks)
  return { install: plan.install, ...verdict, findings: verdict.findings.map(asPrinted) }
}

/** With the names that two members had in the first version: scripts may read them. */
const asPrinted = (finding: Finding) => ({
  ...finding,
  hands: finding.nextAction,
  proof: { ...finding.proof, page: finding.proof.look },
})

/** Looks as a check does: as a visitor gets it, then past the cache. */
async function looksThere(url: string, plan: Plan, options: Options): Promise<Look[]> {
  const anyAddress = options['allow-private'] ?? false
  if (!URL.canParse(url)) throw new WrongCall(`--url: ${url} is not an address.`)
  const outbound = new Outbound({ localhostNames: anyAddress, privateAddresses: anyAddress })
  try {
    const looks: Look[] = []
    for (const how of plainLookIds) {
      if (looks[0]?.error) break
      looks.push(await lookAt(outbound, url, how))
    }
    if (!options.browser) return looks
    // Only who asks for it waits for what drives a browser to be loaded.
    const { lookWithBrowser } = await import('./look-with-browser')
    return [...looks, ...(await lookWithBrowser(url, plan.origin, anyAddress, outbound))]
  } finally {
    await outbound.close()
  }
}

/** JSON Lines: on each what the options would be. A line is answered for each, in order; one that is wrong says why and keeps no other back. */
function runJobs(file: string, options: Options, now: Date): CommandResult {
  const jobs = textOf(file)
    .split('\n')
    .filter((line) => line.trim())
  const lines: VerifyLine[] = []
  let wrong = false
  const answers = jobs.map((text, at) => {
    try {
      const line = runJob(text, now)
      lines.push(line)
      return line
    } catch (error) {
      if (!(error instanceof WrongCall)) throw error
      wrong = true
      return { line: at + 1, error: { message: error.message } }
    }
  })
  const result = resultOf(lines, options)
  return { ...result, lines: answers, status: wrong ? 2 : result.status }
}

function runJob(text: string, now: Date): VerifyLine {
  let job: unknown
  try {
    job = JSON.parse(text)
  } catch {
    throw new WrongCall('It is not JSON.')
  }
  const { page, plan: given, fresh, headers } = (job ?? {}) as Record<string, unknown>
  if (typeof page !== 'string' || given === undefined) throw new WrongCall('page and plan are needed.')
  if (fresh !== undefined && typeof fresh !== 'string') throw new WrongCall('fresh: must be the name of a file.')
  const plan = planFrom(given)
  return lineFor(plan, looksFrom({ page, plan: given, fresh, headers }, plan, now))
}
