import { setTimeout as sleep } from 'node:timers/promises'
import type { Look, Plan } from '@pebblestrand/core/verify'
import { plainLookIds, type FindingCode, type PlainLookId } from '@pebblestrand/core/verify/words'
import { QueryTypes } from 'sequelize'
import { isThere } from '../platform/browser/launch'
import { BrowserAway } from '../platform/browser/pool'
import type { Context } from '../platform/context'
import { lookAtWidths } from '../looks/look-at-widths'
import type { Sighting } from '../looks/look-in-browser'
import type { Trying } from '../looks/try-presence'
import { lookAt } from '../looks/fetch-page'
import { judge } from './judge'
import { isPersons, type Check, type CheckState } from '../findings/models'

type Progress = (state: CheckState) => Promise<unknown>

/** Ms after which a connection that broke off is tried once more: a line that fails for a moment is no fault of the page. */
const AGAIN_AFTER = 1500

/** By fetching, in each way; a page that does not answer visitors is asked once more, and then no further. */
export async function lookPlainly(context: Context, { url, preview }: Target, progress: Progress): Promise<Look[]> {
  const looks: Look[] = []
  for (const how of plainLookIds) {
    if (looks[0]?.error) break
    if (looks.length) await progress(how)
    looks.push(await lookTwice(context, url, how))
  }
  if (!preview || looks[0]!.error) return looks
  await progress('preview')
  return [...looks, { ...(await lookAt(context.outbound, preview, 'served')), how: 'preview' }]
}

/** Where a page is, and where an editor's preview of it can be seen, if anywhere. */
export interface Target {
  url: string
  preview: string | null
}

async function lookTwice({ outbound }: Context, url: string, how: PlainLookId): Promise<Look> {
  const look = await lookAt(outbound, url, how)
  if (look.error?.code !== 'no-answer') return look
  await sleep(AGAIN_AFTER)
  return lookAt(outbound, url, how)
}

/** What a page is looked at for. */
export interface Asked extends Target {
  pageId: string
  plans: Plan[]
  checks: readonly Check[]
}

/** In a browser, at each width; none where there is no browser, or nothing to be seen. */
export async function lookByBrowser(
  { browser, outbound, config, log }: Context,
  url: string,
  plain: readonly Look[],
  progress: Progress,
  trying: readonly Trying[] = [],
): Promise<Sighting[]> {
  if (!browser || !isAnswered(plain)) return []
  try {
    return await lookAtWidths({ browser, outbound }, url, config.origin, progress, trying)
  } catch (error) {
    if (error instanceof BrowserAway && error.closing) throw error
    log.warn(error)
    return [unseen(url, error)]
  }
}

/** Where a person asked and this machine has no browser, that nothing was seen with one is part of what was found. */
export const lackOfBrowser = (
  { config }: Pick<Context, 'config'>,
  { url, checks }: Pick<Asked, 'url' | 'checks'>,
  plain: readonly Look[],
): Sighting[] =>
  isAskedInPerson({ checks }) && isAnswered(plain) && !isThere(config.chromium)
    ? [unseen(url, new Error('Pebblestrand’s own machine has no Chromium, or does not know where it is.'))]
    : []

const isAnswered = ([served]: readonly Look[]) => !served!.error && served!.status < 400

const unseen = (url: string, error: unknown): Sighting => ({
  picture: null,
  look: {
    how: 'desktop',
    url,
    finalUrl: url,
    status: 0,
    headers: {},
    html: '',
    at: new Date().toISOString(),
    ms: 0,
    error: { code: 'browser', message: error instanceof Error ? error.message.split('\n')[0]! : String(error) },
  },
})

/** What markup alone cannot settle. */
const doubtful = new Set<FindingCode>([
  'script-stripped',
  'inert',
  'absent',
  'hidden',
  'blocked',
  'wrong-placement',
  'unreachable',
])

/** Whether it is looked at by a browser, whatever the plain looks show. */
export const wantsBrowser = ({ checks }: Pick<Asked, 'checks'>) =>
  isAskedInPerson({ checks }) || checks.some(({ cause }) => cause === 'sight')

export const isAskedInPerson = ({ checks }: Pick<Asked, 'checks'>) => checks.some(({ cause }) => isPersons(cause))

/** Whether a browser should look as well: where the plain looks leave a doubt, and once in a while anyway. A first look at a page is none of that. */
export async function leavesDoubt(context: Context, { pageId, plans, checks }: Asked, looks: Look[]): Promise<boolean> {
  if (!isAnswered(looks) || checks.every(({ cause }) => cause === 'plan')) return false
  const verdicts = await judge(context, plans, looks)
  if (verdicts.some(({ findings, notes }) => notes.length || findings.some(({ code }) => doubtful.has(code))))
    return true
  return !(await seenLately(context, pageId))
}

/** A page in which nothing is doubtful is looked at in a browser once a week, each on a day of its own so that a round is not all of them. */
const LATELY = `
SELECT 1 WHERE mod(hashtext(:pageId) & 2147483647, 7) <> extract(isodow FROM now())::int - 1
UNION ALL
SELECT 1 FROM looks l JOIN readings r ON r.id = l.reading_id
WHERE r.page_id = :pageId AND l.how = 'desktop' AND l.sight IS NOT NULL AND l.at > now() - interval '6 days' LIMIT 1`

const seenLately = async ({ db }: Context, pageId: string): Promise<boolean> =>
  (await db.query(LATELY, { replacements: { pageId }, type: QueryTypes.SELECT })).length > 0
