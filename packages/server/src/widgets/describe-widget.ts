import type { WidgetRow } from '@pebblestrand/contract'
import { difference, kindOf, renamed } from '@pebblestrand/core/kinds'
import { QueryTypes } from 'sequelize'
import type { z } from 'zod'
import { User } from '../accounts/models'
import { drawnWidgets } from '../artefacts/thumbnails'
import type { Context } from '../platform/context'
import { sourceInfo } from '../sources/describe-source'
import { Source } from '../sources/models'
import { describeDraft, settingsOf, usedSources } from './draft'
import { Release, type Settings, type Widget } from './models'
import { placesOfWidget, sitesOfWidget } from './queries'
import { starterOf } from './starters'

export interface ListedWidget extends Omit<
  z.output<typeof WidgetRow>,
  'changes' | 'settings' | 'thumbnail' | 'example' | 'shown' | 'heights' | 'last'
> {
  /** As the database's JSON has it. */
  last: { verb: string; by: string | null; at: string } | null
  draft: Settings
  kindVersion: number
  releaseName: string | null
  releaseSettings: Settings | null
  releaseKindVersion: number | null
}

/** Rows of the list with what is drawn of them beforehand; a thumbnail is the real thing, of the newest release, else of the draft. */
export async function describeListed(rows: readonly ListedWidget[]): Promise<z.output<typeof WidgetRow>[]> {
  const drawn = await drawnWidgets(rows.map((row) => row.id))
  return rows.map(({ draft, kindVersion, releaseName, releaseSettings, releaseKindVersion, last, ...row }) => {
    const own = settingsOf(row.kind, { settings: draft, kindVersion })
    const released =
      releaseSettings && settingsOf(row.kind, { settings: releaseSettings, kindVersion: releaseKindVersion ?? 1 })
    const picture = drawn.get(row.id)
    const kind = kindOf(row.kind)
    return {
      ...row,
      last: last && { ...last, at: new Date(last.at) },
      changes:
        kind && released
          ? difference(kind, released, own, { sourceNames: {} }).length +
            renamed(releaseName ?? row.name, row.name).length
          : 0,
      settings: released ?? own,
      thumbnail: picture?.thumbnail ?? null,
      example: picture?.facts.example ?? false,
      shown: picture?.facts.shown ?? 0,
      heights: picture?.facts.heights ?? [],
    }
  })
}

/** All that the workbench begins with. */
export async function describeWidget({ db }: Context, widget: Widget) {
  const releases = await Release.findAll({ where: { widgetId: widget.id }, order: [['number', 'DESC']], limit: 100 })
  const people = new Map(
    (await User.findAll({ where: { id: releases.flatMap((r) => r.publishedBy ?? []) } })).map((u) => [u.id, u.name]),
  )
  const sources = await Source.findAll({ where: { id: usedSources(widget, releases) } })
  const places = await db.query<never>(placesOfWidget, {
    replacements: { widgetId: widget.id },
    type: QueryTypes.SELECT,
  })
  const sites = await db.query<never>(sitesOfWidget, {
    replacements: { widgetId: widget.id },
    type: QueryTypes.SELECT,
  })
  const kind = kindOf(widget.kind)
  return {
    id: widget.id,
    kind: widget.kind,
    name: widget.name,
    starter: widget.starter,
    starterSettings: (kind && widget.starter && (await starterOf(kind, widget.starter))?.settings) || {},
    away: widget.putAwayAt !== null,
    draft: describeDraft(widget),
    releases: releases.map((release) => ({
      number: release.number,
      name: release.name ?? widget.name,
      settings: settingsOf(widget.kind, release),
      publishedAt: release.publishedAt,
      by: people.get(release.publishedBy ?? '') ?? null,
      note: release.note,
    })),
    sources: sources.map((source) => sourceInfo(source)),
    places,
    sites,
  }
}
