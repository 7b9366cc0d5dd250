import { randomUUID } from 'node:crypto'
import type { Look as LookAnswer } from '@pebblestrand/core/verify'
import { Op, QueryTypes, type Transaction } from 'sequelize'
import { lockStored } from '../artefacts/rendering-order'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { BrowserAway } from '../platform/browser/pool'
import { isDatabaseAway, onceBack } from '../platform/database/away'
import { isDeadlock } from '../platform/database/deadlock'
import { WAITED_FOR } from '../platform/queue'
import { noteLookChanges } from '../sites/look/note-changes'
import { Page } from '../sites/models'
import { noteTag } from './note-tag'
import { noteLanguage } from '../sites/note-language'
import { notePolicy } from '../sites/note-policy'
import { applyVerdict } from './apply'
import type { Sighting } from '../looks/look-in-browser'
import { triedOn } from './tried-on'
import {
  isAskedInPerson,
  lackOfBrowser,
  leavesDoubt,
  lookByBrowser,
  lookPlainly,
  wantsBrowser,
  type Asked,
} from './gather-looks'
import { judge } from './judge'
import { Check, ENDED, Look, Reading, type CheckState } from '../findings/models'
import { noteWidths } from './note-widths'
import { testWhereDue } from '../forms/due-tests'
import { plansOf } from './plan-of'
import { browserLookJob, LOOK_SECONDS, looksAt } from '../findings/queue-check'
import { closeRound } from './rounds'

/** Whole pages are kept for so many readings of a page; findings and facts stay. */
export const READINGS_KEPT = 5

/** Checks of a page that wait, or whose worker went away: taken by whoever comes first. */
const claim = `
UPDATE checks SET state = 'served', started_at = now(), attempt = :attempt
WHERE id IN (
  SELECT c.id FROM checks c JOIN installs i ON i.id = c.install_id
  WHERE i.page_id = :pageId AND (c.state = 'queued' OR (c.state NOT IN ('done', 'failed', 'stopped') AND c.started_at < now() - make_interval(secs => :expires)))
  FOR UPDATE OF c SKIP LOCKED
) RETURNING id`

/** What this attempt holds still: whoever was slow for so long that another took the check over writes nothing on it. */
interface Held {
  attempt: string
  ids: string[]
}
const held = ({ attempt, ids }: Held) => ({ id: ids, attempt, state: { [Op.notIn]: [...ENDED] } })

const move = `
UPDATE checks SET state = :state WHERE id IN (
  SELECT id FROM checks WHERE id IN (:ids) AND attempt = :attempt AND state NOT IN (:ended) ORDER BY id FOR UPDATE
)`

/** How far they are, for whoever watches. */
const moveOn = ({ db }: Context, own: Held, state: CheckState) =>
  db.query(move, { replacements: { ...own, state, ended: [...ENDED] } })

/** What is looked at in one go: the page, and the installs on it whose checks are held. */
interface Due extends Asked {
  installs: Map<string, Install>
  own: Held
}

/**
 * Looks at one page, judges every install on it that waits for a check, and notes all of it in one transaction. Where a
 * browser is called for, it is handed on to whoever looks with one.
 */
export const lookAtPage = (context: Context, pageId: string) =>
  claimed(context, pageId, async (due) => {
    const { browser } = context
    if (browser && wantsBrowser(due)) return handOn(context, due)
    const looks = await lookPlainly(context, due, moving(context, due.own))
    if (browser && (await leavesDoubt(context, due, looks))) return handOn(context, due)
    await conclude(context, due, looks, lackOfBrowser(context, due, looks))
  })

/** The same, with a browser where there is one. */
export const lookInBrowserToo = (context: Context, pageId: string) =>
  claimed(context, pageId, async (due) => {
    const progress = moving(context, due.own)
    const looks = await lookPlainly(context, due, progress)
    const trying = await triedOn(context, due.pageId, due.checks)
    await conclude(context, due, looks, await lookByBrowser(context, due.url, looks, progress, trying))
  })

const moving = (context: Context, own: Held) => (state: CheckState) => moveOn(context, own, state)

/** Claims what waits on a page, and does it; however that ends, it is noted. */
async function claimed(context: Context, pageId: string, carryOut: (due: Due) => Promise<void>): Promise<void> {
  const attempt = randomUUID()
  const taken = await context.db.query<{ id: string }>(claim, {
    replacements: { pageId, attempt, expires: LOOK_SECONDS - 10 },
    type: QueryTypes.SELECT,
  })
  if (!taken.length) return
  const own: Held = { attempt, ids: taken.map(({ id }) => id) }
  const checks = await onceBack(() => Check.findAll({ where: { id: own.ids }, order: [['askedAt', 'ASC']] }))
  try {
    const due = await whatIsDue(context, pageId, checks, own)
    if (due) await carryOut(due)
  } catch (error) {
    await giveUp(error, own)
    throw error
  } finally {
    const rounds = new Set(checks.flatMap((check) => check.roundId ?? []))
    for (const roundId of rounds) await onceBack(() => closeRound(roundId))
  }
}

/** A check that failed says why; one that could only not be written down, or was cut off by the end of its worker, waits for its job to be tried again. */
function giveUp(error: unknown, own: Held) {
  const problem = error instanceof Error ? error.message : String(error)
  const comesAgain = isDatabaseAway(error) || isDeadlock(error) || (error instanceof BrowserAway && error.closing)
  const outcome = comesAgain
    ? { state: 'queued' as const, attempt: null, startedAt: null }
    : { state: 'failed' as const, finishedAt: new Date(), problem }
  return onceBack(() => Check.update(outcome, { where: held(own) }))
}

async function whatIsDue(context: Context, pageId: string, checks: Check[], own: Held): Promise<Due | null> {
  const ids = checks.map((check) => check.installId)
  const living = await Install.findAll({ where: { id: ids, status: { [Op.ne]: 'retired' } } })
  const installs = new Map(living.map((install) => [install.id, install]))
  const idle = checks.filter((check) => !installs.has(check.installId)).map((check) => check.id)
  if (idle.length)
    await Check.update({ state: 'stopped', finishedAt: new Date() }, { where: held({ ...own, ids: idle }) })
  const due = checks.filter((check) => installs.has(check.installId))
  if (!due.length) return null
  const all = due.map((check) => installs.get(check.installId)!)
  await testWhereDue(context, all)
  const { plans, url, preview } = await plansOf(context, pageId, all)
  return { pageId, url, preview, plans, checks: due, installs, own }
}

/** Lets go of the checks, and queues with that that a browser looks. */
const handOn = ({ db, queue }: Context, { pageId, own, checks }: Due): Promise<void> =>
  db.transaction(async (transaction) => {
    await Check.update({ state: 'queued', attempt: null, startedAt: null }, { where: held(own), transaction })
    const priority = isAskedInPerson({ checks }) ? WAITED_FOR : 0
    await queue.sendMany(browserLookJob, await looksAt([pageId], transaction), transaction, priority)
  })

async function conclude(
  context: Context,
  { pageId, plans, checks: due, installs, own }: Due,
  looks: LookAnswer[],
  inBrowser: Sighting[],
): Promise<void> {
  const all = [...looks, ...inBrowser.map(({ look }) => look)]
  await moveOn(context, own, 'judging')
  const verdicts = await judge(context, plans, all)
  const isNews = await context.db.transaction(async (transaction) => {
    const retired = due.flatMap(({ installId }, at) => (verdicts[at]!.status === 'retired' ? [installId] : []))
    for (const widgetId of new Set(retired.map((id) => installs.get(id)!.widgetId).sort()))
      await lockStored(context, widgetId, transaction)
    await holdInOrder(pageId, [...installs.keys()], transaction)
    const still = await Check.findAll({
      attributes: ['id'],
      where: held(own),
      order: [['id', 'ASC']],
      lock: true,
      transaction,
    })
    if (!still.length) return false
    const mine = new Set(still.map((check) => check.id))
    const reading = await keepReading(pageId, all, inBrowser, transaction)
    let isAny = false
    for (const [at, check] of due.entries())
      if (mine.has(check.id) && (await applyVerdict(context, check, reading, looks, verdicts[at]!, transaction)))
        isAny = true
    return isAny
  })
  if (!isNews) return // what it saw of the page is older than what is noted of it
  const seen = due.map(({ installId }, at) => ({ install: installs.get(installId)!, verdict: verdicts[at]! }))
  await noteWidths(context, seen)
  await notePolicy(pageId, looks[0]!)
  await noteTag(pageId, verdicts)
  await noteLanguage(context, pageId, looks[0]!)
  const samples = inBrowser.find((one) => one.samples)?.samples
  if (samples) await noteLookChanges(context, pageId, samples)
}

/** The rows it writes on, taken in the order in which whoever removes one takes them. */
async function holdInOrder(pageId: string, installIds: string[], transaction: Transaction): Promise<void> {
  await Page.findByPk(pageId, { attributes: ['id'], lock: transaction.LOCK.KEY_SHARE, transaction })
  await Install.findAll({ attributes: ['id'], where: { id: installIds }, order: ['id'], lock: true, transaction })
}

/** Keeps what was seen, and forgets what was seen before, but for the evidence of changes (history.ts). */
async function keepReading(
  pageId: string,
  looks: LookAnswer[],
  inBrowser: readonly Sighting[],
  transaction: Transaction,
): Promise<Reading> {
  const pictures = new Map(inBrowser.map(({ look, picture }) => [look.how, picture]))
  const reading = await Reading.create({ pageId }, { transaction })
  await Look.bulkCreate(
    looks.map((look) => ({
      ...look,
      readingId: reading.id,
      at: new Date(look.at),
      picture: pictures.get(look.how) ?? null,
    })),
    { transaction },
  )
  const old = await Reading.findAll({
    attributes: ['id'],
    where: { pageId, isEvidence: false },
    order: [['beganAt', 'DESC']],
    offset: READINGS_KEPT,
    limit: 20,
    transaction,
  })
  if (old.length) await Reading.destroy({ where: { id: old.map((one) => one.id) }, transaction })
  return reading
}
