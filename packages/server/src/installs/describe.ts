import type { PlannedSwap } from '@pebblestrand/contract'
import { Op, QueryTypes } from 'sequelize'
import type { z } from 'zod'
import { findingsOf, looksOf } from '../findings/describe-check'
import { Check, ENDED } from '../findings/models'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { addressOf } from '../sites/address'
import { Release } from '../widgets/models'
import { instructionsFor } from './instructions'
import type { Install } from './models'
import { swapsShown, timeLine, type TimeLineRow } from './queries'

/** All that one install's screen shows. */
export async function describeInstall(context: Context, id: string) {
  // Before where it stands is read: a check that ends in between is waited for once more, and its verdict not missed.
  const running = await Check.findOne({
    where: { installId: id, state: { [Op.notIn]: [...ENDED] } },
    attributes: ['id', 'state'],
  })
  const [said] = await instructionsFor(context, [id])
  if (!said) throw new AppError('not-found')
  const { row, install, site, profile, tag, facts, advice, snippets, steps, ruleOneDay, permission } = said
  const rows = <T extends object>(sql: string) =>
    context.db.query<T>(sql, { replacements: { id }, type: QueryTypes.SELECT })
  return {
    ...row,
    url: addressOf(row),
    publicId: install.publicId,
    asks: facts?.behaviours?.includes('form') ?? false,
    stepsDone: install.stepsDone,
    confirmedAt: install.confirmedAt,
    retiredAt: install.retiredAt,
    platform: profile.name,
    cacheMinutes: site.cacheMinutes,
    pasteNotes: site.pasteNotes,
    advice,
    ruleOneDay,
    permission,
    siteTag: tag && { id: tag.id, status: tag.status },
    snippets,
    snippetOptions: install.snippetOptions,
    steps,
    check: await lastCheck(context, install),
    running: running && { id: running.id, state: running.state },
    timeLine: await rows<TimeLineRow>(timeLine),
    releases: await releasesOf(install.widgetId),
    swappedFrom: install.before ? { id: install.before.id, name: install.before.name } : null,
    timeZone: site.timeZone,
    plannedSwaps: await rows<z.output<typeof PlannedSwap>>(swapsShown),
  }
}

const releasesOf = (widgetId: string) =>
  Release.findAll({
    attributes: ['number', 'note', 'publishedAt'],
    where: { widgetId },
    order: [['number', 'DESC']],
    limit: 100,
  })

async function lastCheck({ db }: Context, install: Install) {
  const check = install.lastCheckId && (await Check.findByPk(install.lastCheckId))
  if (!check) return null
  const { id, cause, facts, statusAfter, finishedAt: at } = check
  return {
    id,
    cause,
    at,
    facts,
    statusAfter,
    findings: await findingsOf(db, check.id),
    looks: await looksOf(check, install.publicId),
  }
}
