import { fitVerdict, kindOf, type Kind, type Settings } from '@pebblestrand/core/kinds'
import { QueryTypes } from 'sequelize'
import type { Context } from '../platform/context'
import { brokenByPublishing } from '../rehearsals/broken'
import { draftOf, settingsOf } from './draft'
import { Release, type Widget } from './models'
import { standingOf } from './queries'

interface Standing {
  installId: string
  held: boolean
  siteId: string
  site: string
  page: string
  placement: string | null
  width: number | null
}

/** What publishing the draft would change: which installs show it, and which of them it fits no more. */
export async function whatPublishingChanges({ db }: Pick<Context, 'db'>, widget: Widget) {
  const standing = await db.query<Standing>(standingOf, {
    replacements: { widgetId: widget.id },
    type: QueryTypes.SELECT,
  })
  const following = standing.filter(({ held }) => !held)
  const kind = kindOf(widget.kind)
  const last = await Release.findOne({ where: { widgetId: widget.id }, order: [['number', 'DESC']] })
  const misfits = kind?.box
    ? await misfitsAmong(kind, following, draftOf(widget), last && settingsOf(widget.kind, last))
    : []
  const broken = await brokenByPublishing({ db }, widget.id)
  return { sites: bySite(following), held: standing.length - following.length, misfits, broken }
}

function bySite(standing: readonly Standing[]) {
  const sites = new Map<string, { id: string; name: string; installs: number }>()
  for (const { siteId, site } of standing) {
    const known = sites.get(siteId) ?? { id: siteId, name: site, installs: 0 }
    known.installs += 1
    sites.set(siteId, known)
  }
  return [...sites.values()]
}

/** Those that fit as they are published now and would not as the draft has it. Many stand in places of one width. */
async function misfitsAmong(kind: Kind, standing: readonly Standing[], draft: Settings, last: Settings | null) {
  const verdicts = new Map<string, ReturnType<typeof fitVerdict>>()
  const verdictOf = (of: 'draft' | 'last', settings: Settings, width: number) => {
    const by = `${of} ${width}`
    if (!verdicts.has(by)) verdicts.set(by, fitVerdict(kind.box!, settings, width))
    return verdicts.get(by)!
  }
  return standing.flatMap(({ installId, site, page, placement, width }) => {
    if (!width || !placement) return []
    const next = verdictOf('draft', draft, width)
    const isNews = next.verdict !== 'fits' && (!last || verdictOf('last', last, width).verdict === 'fits')
    return isNews ? [{ installId, site, page, placement, width, says: next.says }] : []
  })
}
