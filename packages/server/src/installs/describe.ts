import {
  advise,
  profiles,
  snippetText,
  stepsFor,
  methodIds,
  type Method,
  type SnippetRequest,
} from '@pebblestrand/core/snippet'
import { agencyName } from '../accounts/setup'
import { User } from '../accounts/models'
import { Activity } from '../activity/models'
import { Answer, Check, FindingRow, OPEN } from '../checks/models'
import { Payload } from '../delivery/models'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { Site } from '../sites/models'
import { Install } from './models'
import { readOne, type RegisterRow } from './register'

/** All that one install's screen shows. */
export async function describeInstall(context: Context, id: string) {
  const row = await readOne(context.db, id)
  const install = await Install.findByPk(id)
  if (!row || !install) throw new AppError('not-found')
  const site = (await Site.findByPk(row.siteId))!
  const profile = profiles[site.platform]!
  const advice = advise(profile, row.region)
  return {
    ...row,
    url: addressOf(row),
    stepsDone: install.stepsDone,
    confirmedAt: install.confirmedAt,
    retiredAt: install.retiredAt,
    platform: profile.name,
    cacheMinutes: site.cacheMinutes,
    advice,
    snippets: await snippets(context, install, row),
    steps: stepsFor(profile, {
      page: row.page,
      region: row.region,
      method: install.method,
      cacheMinutes: site.cacheMinutes,
    }),
    check: await lastCheck(install),
    running: await Check.findOne({
      where: { installId: id, state: [...OPEN] },
      attributes: ['id', 'state'],
    }),
    timeLine: await timeLine(id),
  }
}

/** The page's address for a visitor; a pattern is looked at by its fixed beginning. */
export const addressOf = ({ origin, path }: { origin: string; path: string }) =>
  origin + (path.replace(/\*.*$/, '') || '/')

async function snippets({ config }: Context, install: Install, row: RegisterRow): Promise<Record<Method, string>> {
  const payload = await Payload.findByPk(install.id)
  const agency = await agencyName()
  const request: Omit<SnippetRequest, 'method'> = {
    origin: config.origin,
    publicId: install.publicId,
    name: row.widget,
    agency,
    width: row.width,
    height: payload?.height ?? 0,
  }
  return Object.fromEntries(methodIds.map((method) => [method, snippetText({ ...request, method })])) as Record<
    Method,
    string
  >
}

async function lastCheck(install: Install) {
  const check = install.lastCheckId && (await Check.findByPk(install.lastCheckId))
  if (!check) return null
  const [findings, answers] = await Promise.all([
    FindingRow.findAll({ where: { checkId: check.id }, order: [['position', 'ASC']] }),
    Answer.findAll({ where: { checkId: check.id }, attributes: { exclude: ['html'] }, order: [['which', 'DESC']] }),
  ])
  return {
    id: check.id,
    cause: check.cause,
    at: check.finishedAt,
    facts: check.facts,
    statusAfter: check.statusAfter,
    findings,
    answers,
  }
}

async function timeLine(installId: string) {
  const rows = await Activity.findAll({ where: { installId }, order: [['at', 'DESC']], limit: 30 })
  const people = new Map(
    (await User.findAll({ where: { id: rows.flatMap((r) => r.userId ?? []) } })).map((u) => [u.id, u.name]),
  )
  return rows.map((r) => ({ id: r.id, at: r.at, verb: r.verb, by: people.get(r.userId ?? '') ?? null, data: r.data }))
}
