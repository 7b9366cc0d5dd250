import { advise, drawnSizes, OVER_PAGE, stepsFor, type DrawnSizes, type Step } from '@pebblestrand/core/advice'
import { kindOf } from '@pebblestrand/core/kinds'
import { methodIds, methods, type MethodId, type SnippetRequest } from '@pebblestrand/core/methods'
import type { PlatformProfile } from '@pebblestrand/core/platforms'
import { SITE_TAG, type RegisterRow } from '@pebblestrand/contract'
import { agencyName } from '../accounts/setup'
import { Artefact, type ArtefactFacts } from '../artefacts/models'
import { OVER_PAGE_WIDTH } from '../artefacts/over-page'
import { scriptNow } from '../artefacts/script-versions'
import { SITE_TAG_NAME, tagsOf, type SiteTag } from '../artefacts/site-tag'
import type { Context } from '../platform/context'
import { profilesOf } from '../profiles/profile-of'
import { Page, Placement, Site } from '../sites/models'
import { Install } from './models'
import { readRows } from './register'
import { permissionNeeded, refusedOneDay, settingOf } from './setting-of'

/** An install, where it stands, and what somebody needs to put it there. */
export interface Instructions {
  row: RegisterRow
  install: Install
  site: Site
  page: Page
  profile: PlatformProfile
  /** The living tag of its site. */
  tag: SiteTag | null
  /** What it shows, as far as that is rendered. */
  facts: ArtefactFacts | undefined
  advice: ReturnType<typeof advise>
  /** The text to paste by method, as this install wants it. */
  snippets: Record<MethodId, string>
  steps: Step[]
  /** Name of the platform's box that its method goes into. */
  box: string | null
  /** How large a frame has to be drawn for it there; null where nobody draws one. */
  drawn: DrawnSizes | null
  ruleOneDay: string | null
  permission: string | null
}

/**
 * Of installs, in the order of their ids, with as many queries for a hundred as for one. An id that the register does not
 * know is left out.
 */
export async function instructionsFor(context: Context, ids: readonly string[]): Promise<Instructions[]> {
  const [rows, installs, artefacts, agency] = await Promise.all([
    readRows(context.db, ids),
    Install.findAll({
      where: { id: [...ids] },
      include: [{ model: Page, include: [Site] }, Placement, { association: 'before', attributes: ['id', 'name'] }],
    }),
    Artefact.findAll({ attributes: ['installId', 'facts'], where: { installId: [...ids], form: 'payload' } }),
    agencyName(),
  ])
  const sites = installs.map(({ Page: page }) => page!.Site!)
  const [tags, profileOf] = await Promise.all([
    tagsOf(context.db, [...new Set(sites.map(({ id }) => id))]),
    profilesOf(sites.map(({ platform }) => platform)),
  ])
  const factsOf = new Map(artefacts.map(({ installId, facts }) => [installId, facts]))
  const instructions: Instructions[] = []
  for (const id of ids) {
    const row = rows.get(id)
    const install = installs.find((one) => one.id === id)
    if (!row || !install) continue
    const site = install.Page!.Site!
    const where = { row, install, agency, tag: tags.get(site.id) ?? null, profile: profileOf(site.platform) }
    instructions.push(instructed(context, where, factsOf.get(id)))
  }
  return instructions
}

type Where = Pick<Instructions, 'row' | 'install' | 'tag' | 'profile'> & { agency: string }

function instructed(context: Context, where: Where, facts?: ArtefactFacts): Instructions {
  const { row, install, tag, profile } = where
  const page = install.Page!
  const site = page.Site!
  const about = {
    site,
    page,
    tag,
    profile,
    region: row.region,
    selector: install.Placement?.selector ?? null,
    behaviours: facts?.behaviours,
    players: facts?.players,
    kind: kindOf(row.kind),
  }
  const advice = advise(profile, settingOf(context, about))
  const taken = [advice.best, ...advice.others].find(({ method }) => method === install.method)!
  const isTag = row.kind === SITE_TAG
  const drawn = drawnSizes(taken.box, widthsOf(install.Placement), { height: 0, ...facts, ...facts?.narrower })
  const inFrames = new Set(
    [advice.best, ...advice.others].filter(({ box }) => box?.ownFrame).map(({ method }) => method),
  )
  return {
    row,
    install,
    site,
    page,
    profile,
    tag,
    facts,
    advice,
    snippets: snippets(context, where, inFrames, facts),
    drawn,
    steps: stepsFor(profile, {
      page: row.page,
      path: row.path,
      region: isTag ? 'head of every page' : (row.region ?? OVER_PAGE),
      isBrought: install.method === 'tag' && !isTag,
      box: taken.box?.name ?? null,
      cacheMinutes: site.cacheMinutes,
      drawn,
      mustAllow: taken.ends === 'blocked',
    }),
    box: taken.box?.name ?? null,
    ruleOneDay: refusedOneDay(context, install.method, site, page),
    permission: permissionNeeded(context, install.method, about),
  }
}

const widthsOf = (placement: Placement | null | undefined) => ({
  desktop: placement?.width ?? OVER_PAGE_WIDTH,
  tablet: placement?.widthTablet ?? null,
  phone: placement?.widthPhone ?? null,
})

/** @param inFrames methods whose text stands in a frame of the editor's there: what is a window in it is no window of the page */
function snippets(
  { config }: Context,
  { install, row, tag, agency }: Where,
  inFrames: ReadonlySet<MethodId>,
  { height = 0, narrower, players = [], behaviours = [], still }: ArtefactFacts = {},
): Record<MethodId, string> {
  const { form, unsigned, pinned, nonce, grows, drawing, opens } = install.snippetOptions
  const request: SnippetRequest = {
    origin: config.origin,
    publicId: install.publicId,
    name: row.widget,
    agency,
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
      ? methods[method].text(inFrames.has(method) ? { ...request, narrower: undefined } : request)
      : tagId
        ? methods.tag.text({ ...request, publicId: tagId, name: SITE_TAG_NAME })
        : ''
  return Object.fromEntries(methodIds.map((method) => [method, text(method)])) as Record<MethodId, string>
}
