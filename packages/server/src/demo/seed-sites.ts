import type { Transaction } from 'sequelize'
import { Client, Page, Placement, Site } from '../sites/models'
import type { Desks, StandInSite } from './desk'

/** Px that the sites' pages have at their sides, and are wide inside in windows of 768 and 390 px. */
const PADDING = 40
const TABLET = 768 - PADDING
const PHONE = 390 - PADDING

/** Platforms whose columns reach to the edges of the page's width, without its padding. */
const toTheEdge = new Set(['canvas-builder', 'hosted-shop', 'tag-manager'])
/** A footer in two columns. */
const HALF_FOOTER: Record<string, readonly [number, number]> = { 'pollard-cycles': [551, 355] }

/** Places that no landmark and no name tells: the agency has marked them. */
const marks: Record<string, string> = {
  'keepers-log': '.gadgets-column',
  'tangle-campsite': '.stripe',
  'net-loft': '[data-area=side]',
}

/** A client, its site, pages and placements, and the look that was noted of it. */
export async function seedSite(
  desks: Desks,
  from: StandInSite,
  keeperId: string,
  transaction: Transaction,
): Promise<Site> {
  const origin = desks.siteOrigin(from.host)
  const client = await Client.create({ name: from.name }, { transaction })
  const { theme } = from
  const site = await Site.create(
    {
      clientId: client.id,
      name: from.name,
      origin,
      platform: from.platform,
      cacheMinutes: from.cacheMinutes,
      timeZone: 'Atlantic/Faroe',
      language: 'en',
      keeperId,
      lookedAt: new Date(Date.now() - 3 * 86_400_000),
      look: {
        bodyFont: `"${theme.body}", Georgia, serif`,
        headingFont: `"${theme.heading}", Georgia, serif`,
        fontFaces: from.fonts.map(({ family, weight, path }) => ({ family, weight, src: origin + path })),
        text: theme.ink,
        background: theme.ground,
        accent: theme.accent,
        contentWidth: theme.contentWidth,
      },
    },
    { transaction },
  )
  const pages = [{ path: '/*', title: 'Every page' }, ...from.pages]
  await Page.bulkCreate(
    pages.map(({ path, title }, position) => ({ path, title, siteId: site.id, position })),
    { transaction },
  )
  const inner = theme.contentWidth - PADDING
  const edge = toTheEdge.has(from.platform) ? PADDING : 0
  const beside = theme.sidebarWidth + 40
  const widths = [
    ['header', inner, TABLET, PHONE],
    ['main', inner + edge - beside, TABLET + edge - beside, PHONE + edge],
    ['sidebar', theme.sidebarWidth, theme.sidebarWidth, PHONE + edge],
    ['footer', ...(HALF_FOOTER[from.host] ?? [inner, TABLET]), PHONE],
  ] as const
  await Placement.bulkCreate(
    widths.map(([region, width, widthTablet, widthPhone], position) => ({
      siteId: site.id,
      name: region,
      region,
      width,
      widthTablet,
      widthPhone,
      known: 'read' as const,
      selector: region === 'sidebar' ? (marks[from.host] ?? null) : null,
      position,
    })),
    { transaction },
  )
  return site
}
