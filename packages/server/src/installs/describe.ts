import { advise, stepsFor } from '@pebblestrand/core/advice'
import { methodIds, methods, type MethodId } from '@pebblestrand/core/methods'
import { profiles, regions, type Region } from '@pebblestrand/core/platforms'
import type { RegisterRow } from '@pebblestrand/contract'
import { Op } from 'sequelize'
import { agencyName } from '../accounts/setup'
import { User } from '../accounts/models'
import { Activity } from '../activity/models'
import { findingsOf, looksOf } from '../checks/describe-check'
import { Check, ENDED } from '../checks/models'
import { Artefact } from '../delivery/models'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { addressOf } from '../sites/address'
import { scriptNow } from '../delivery/script-versions'
import { Site } from '../sites/models'
import { Install } from './models'
import { readOne } from './register'

/** All that one install's screen shows. */
export async function describeInstall(context: Context, id: string) {
  const row = await readOne(context.db, id)
  const install = await Install.findByPk(id)
  if (!row || !install) throw new AppError('not-found')
  const site = (await Site.findByPk(row.siteId))!
  const profile = profiles[site.platform]!
  const region = row.region ?? OVER_PAGE
  const running = await Check.findOne({
    where: { installId: id, state: { [Op.notIn]: [...ENDED] } },
    attributes: ['id', 'state'],
  })
  return {
    ...row,
    url: addressOf(row),
    stepsDone: install.stepsDone,
    confirmedAt: install.confirmedAt,
    retiredAt: install.retiredAt,
    platform: profile.name,
    cacheMinutes: site.cacheMinutes,
    advice: advise(profile, region),
    ...(await snippets(context, install, row)),
    steps: stepsFor(profile, { page: row.page, region, method: install.method, cacheMinutes: site.cacheMinutes }),
    check: await lastCheck(install),
    running: running && { id: running.id, state: running.state },
    timeLine: await timeLine(id),
  }
}

/** Where code that stands over the page is pasted: where it is out of the way, on every kind of page. */
const OVER_PAGE: Region = Object.keys(regions).at(-1) as Region

/** Px that a frame over the page begins with; what is in it says the rest. */
const OVER_PAGE_WIDTH = 360

/** By method; `pinned` with one version of the script, where the method loads it. */
async function snippets({ config }: Context, install: Install, row: RegisterRow) {
  const agency = await agencyName()
  const artefacts = await Artefact.findAll({ attributes: ['form', 'facts'], where: { installId: install.id } })
  const { height = 0, narrower } = artefacts.find((a) => a.facts.height)?.facts ?? {}
  const { publicId } = install
  const { origin } = config
  const request = { origin, publicId, name: row.widget, agency, width: row.width ?? OVER_PAGE_WIDTH, height, narrower }
  const texts = (pinned?: typeof scriptNow) =>
    Object.fromEntries(methodIds.map((method) => [method, methods[method].text({ ...request, pinned })])) as Record<
      MethodId,
      string
    >
  return { snippets: texts(), pinned: texts(scriptNow) }
}

async function lastCheck(install: Install) {
  const check = install.lastCheckId && (await Check.findByPk(install.lastCheckId))
  if (!check) return null
  const { id, cause, facts, statusAfter, finishedAt: at } = check
  return {
    id,
    cause,
    at,
    facts,
    statusAfter,
    findings: await findingsOf(check),
    looks: await looksOf(check, install.publicId),
  }
}

async function timeLine(installId: string) {
  const rows = await Activity.findAll({ where: { installId }, order: [['at', 'DESC']], limit: 30 })
  const people = new Map(
    (await User.findAll({ where: { id: rows.flatMap((r) => r.userId ?? []) } })).map((u) => [u.id, u.name]),
  )
  return rows.map((r) => ({ id: r.id, at: r.at, verb: r.verb, by: people.get(r.userId ?? '') ?? null, data: r.data }))
}
