import { type Around } from '@pebblestrand/core/kinds'
import type { SiteLook } from '@pebblestrand/core/look'
import type { Transaction } from 'sequelize'
import { agencyName } from '../accounts/setup'
import { creditOf } from '../agency/credit'
import type { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { homeLanguages, spokenOn } from '../sites/note-language'
import { Client, Page, Placement, Site } from '../sites/models'
import type { Renderer } from './render-widget'
import { withStills } from './stills'

/** What surrounds an install where it stands, and what the subjects know of it. */
export interface Surrounded {
  install: Install
  around: Around
  /** Px of its placement, where they are known. */
  widths: { desktop: number | null; tablet: number | null; phone: number | null }
  look: SiteLook | null
  site: { name: string; origin: string }
  agency: string
  facts: Record<string, unknown>
  /** Whether a picture of it is drawn. */
  isPictured: boolean
}

/** Reads what surrounds some installs of one widget, in a number of queries that does not grow with theirs. */
export async function surroundingsOf(
  context: Context,
  installs: readonly Install[],
  { kind }: Pick<Renderer, 'kind'>,
  transaction: Transaction,
): Promise<Surrounded[]> {
  if (!installs.length) return []
  const place = await placesOf(installs, transaction)
  const facts = await factsOf(context, installs, kind.facts ?? [], transaction)
  const credit = await creditOf(transaction)
  const agency = await agencyName(transaction)
  const pictured = kind.pictured ? await withStills(installs, transaction) : new Set<string>()
  return installs.map((install) => {
    const { language, timeZone, isCredited, ...rest } = place(install)
    return {
      install,
      around: { language, timeZone, credit: isCredited ? credit : null },
      ...rest,
      agency,
      facts: facts(install.id),
      isPictured: pictured.has(install.id),
    }
  })
}

/** What the subjects know of each install, by the names its kind asks for. */
async function factsOf(
  context: Context,
  installs: readonly Install[],
  names: readonly string[],
  transaction: Transaction,
) {
  const ids = installs.map((install) => install.id)
  const named: [string, Map<string, unknown>][] = []
  for (const name of names) named.push([name, (await context.facts[name]?.(context, ids, transaction)) ?? new Map()])
  return (installId: string) => Object.fromEntries(named.map(([name, known]) => [name, known.get(installId)]))
}

async function placesOf(installs: readonly Install[], transaction: Transaction) {
  const placementIds = installs.flatMap((i) => i.placementId ?? [])
  const placements = await Placement.findAll({ where: { id: placementIds }, transaction })
  const pages = await Page.findAll({ where: { id: installs.map((i) => i.pageId) }, transaction })
  const sites = await Site.findAll({
    where: { id: [...new Set(pages.map(({ siteId }) => siteId))] },
    include: [Client],
    transaction,
  })
  const siteOf = new Map(sites.map((site) => [site.id, site]))
  const none = { desktop: null, tablet: null, phone: null }
  const widths = new Map(
    placements.map((p) => [p.id, { desktop: p.width, tablet: p.widthTablet, phone: p.widthPhone }]),
  )
  const pageOf = new Map(pages.map((p) => [p.id, p]))
  const homes = await homeLanguages([...siteOf.keys()], transaction)
  return ({ placementId, pageId }: Install) => {
    const page = pageOf.get(pageId)!
    const site = siteOf.get(page.siteId)
    return {
      widths: (placementId && widths.get(placementId)) || none,
      look: site?.look ?? null,
      site: { name: site?.name ?? '', origin: site?.origin ?? '' },
      language: spokenOn(page, site, homes.get(page.siteId) ?? null),
      timeZone: site?.timeZone ?? 'UTC',
      isCredited: site?.Client?.credited ?? false,
    }
  }
}
