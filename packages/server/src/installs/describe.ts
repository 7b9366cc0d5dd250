import { advise, OVER_PAGE, stepsFor } from '@pebblestrand/core/advice'
import { kindOf } from '@pebblestrand/core/kinds'
import { methodIds, methods, type MethodId, type SnippetRequest } from '@pebblestrand/core/methods'
import { SITE_TAG, type RegisterRow } from '@pebblestrand/contract'
import { Op } from 'sequelize'
import { agencyName } from '../accounts/setup'
import { User } from '../accounts/models'
import { Activity } from '../activity/models'
import { findingsOf, looksOf } from '../checks/describe-check'
import { Check, ENDED } from '../checks/models'
import { Artefact, type ArtefactFacts } from '../artefacts/models'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { profileOf } from '../platforms/profile-of'
import { addressOf } from '../sites/address'
import { OVER_PAGE_WIDTH } from '../artefacts/over-page'
import { scriptNow } from '../artefacts/script-versions'
import { Page, Placement, Site } from '../sites/models'
import { SITE_TAG_NAME, tagOf, type SiteTag } from '../site-tags/standing'
import { PlannedSwap } from '../swaps/models'
import { Release, Widget } from '../widgets/models'
import { Install } from './models'
import { readOne } from './register'
import { permissionNeeded, refusedOneDay, settingOf } from './setting-of'

/** All that one install's screen shows. */
export async function describeInstall(context: Context, id: string) {
  // Before where it stands is read: a check that ends in between is waited for once more, and its verdict not missed.
  const running = await Check.findOne({
    where: { installId: id, state: { [Op.notIn]: [...ENDED] } },
    attributes: ['id', 'state'],
  })
  const row = await readOne(context.db, id)
  const install = await Install.findByPk(id)
  if (!row || !install) throw new AppError('not-found')
  const site = (await Site.findByPk(row.siteId))!
  const profile = await profileOf(site.platform)
  const artefacts = await Artefact.findAll({ attributes: ['form', 'facts'], where: { installId: id } })
  const facts = artefacts.find(({ form }) => form === 'payload')?.facts
  const placement = row.placementId ? await Placement.findByPk(row.placementId) : null
  const page = (await Page.findByPk(row.pageId))!
  const { region } = row
  const tag = await tagOf(site.id)
  const selector = placement?.selector ?? null
  const about = {
    site,
    page,
    tag,
    profile,
    region,
    selector,
    behaviours: facts?.behaviours,
    players: facts?.players,
    kind: kindOf(row.kind),
  }
  const advice = advise(profile, await settingOf(context, about))
  const taken = [advice.best, ...advice.others].find(({ method }) => method === install.method)!
  const isTag = row.kind === SITE_TAG
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
    ruleOneDay: refusedOneDay(context, install.method, site, page),
    permission: permissionNeeded(context, install.method, about),
    siteTag: tag && { id: tag.id, status: tag.status },
    snippets: await snippets(context, { install, row, tag }, facts),
    snippetOptions: install.snippetOptions,
    steps: stepsFor(profile, {
      page: row.page,
      region: isTag ? 'head of every page' : (region ?? OVER_PAGE),
      isBrought: install.method === 'tag' && !isTag,
      box: taken.box?.name ?? null,
      cacheMinutes: site.cacheMinutes,
      mustAllow: taken.ends === 'blocked',
    }),
    check: await lastCheck(install),
    running: running && { id: running.id, state: running.state },
    timeLine: await timeLine(id),
    releases: await releasesOf(install.widgetId),
    swappedFrom: await widgetBefore(install),
    timeZone: site.timeZone,
    plannedSwaps: await swapsOf(id),
  }
}

const releasesOf = (widgetId: string) =>
  Release.findAll({
    attributes: ['number', 'note', 'publishedAt'],
    where: { widgetId },
    order: [['number', 'DESC']],
    limit: 100,
  })

/** Whether it can be swapped back: the widget before must still be there. */
async function widgetBefore({ swappedFrom }: Install) {
  const widget = swappedFrom ? await Widget.findByPk(swappedFrom) : null
  return widget && { id: widget.id, name: widget.name }
}

/** What is planned and what is on; of what is over or failed, the last. */
async function swapsOf(installId: string) {
  const swaps = await PlannedSwap.findAll({ where: { installId }, order: [['fromAt', 'DESC']], limit: 20 })
  const widgets = new Map(
    (await Widget.findAll({ where: { id: swaps.map((one) => one.widgetId) } })).map((w) => [w.id, w.name]),
  )
  const shown = [
    ...swaps.filter(({ state }) => state === 'planned' || state === 'on'),
    ...swaps.filter(({ state }) => state === 'failed').slice(0, 1),
  ]
  return shown.map(({ id, widgetId, fromAt, untilAt, state, problem }) => ({
    id,
    widgetId,
    widget: widgets.get(widgetId) ?? 'a widget that is gone',
    from: fromAt,
    until: untilAt,
    state,
    problem,
  }))
}

/** The text to paste by method, written as this install wants it. */
async function snippets(
  { config }: Context,
  { install, row, tag }: { install: Install; row: RegisterRow; tag: SiteTag | null },
  { height = 0, narrower, players = [], behaviours = [], still }: ArtefactFacts = {},
) {
  const { form, unsigned, pinned, nonce, grows, drawing, opens } = install.snippetOptions
  const request: SnippetRequest = {
    origin: config.origin,
    publicId: install.publicId,
    name: row.widget,
    agency: await agencyName(),
    width: row.width ?? OVER_PAGE_WIDTH,
    height,
    narrower,
    form,
    signed: !unsigned,
    plays: players.length > 0,
    asks: behaviours.includes('form'),
    grows: grows ?? false,
    drawing: drawing ?? false,
    ...(still ? { still } : {}),
    ...(opens ? { opens } : {}),
    ...(nonce ? { nonce } : {}),
    ...(pinned ? { pinned: scriptNow } : {}),
  }
  // By the tag, that is the tag's own text: of this install's, or of the one that brings it.
  const tagId = row.kind === SITE_TAG ? install.publicId : tag?.publicId
  const text = (method: MethodId) =>
    method !== 'tag'
      ? methods[method].text(request)
      : tagId
        ? methods.tag.text({ ...request, publicId: tagId, name: SITE_TAG_NAME })
        : ''
  return Object.fromEntries(methodIds.map((method) => [method, text(method)])) as Record<MethodId, string>
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
