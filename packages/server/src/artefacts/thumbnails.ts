import type { Thumbnail } from '@pebblestrand/contract'
import { Artefact, THUMBNAIL, type ArtefactFacts } from './models'

interface Drawn {
  thumbnail: Thumbnail
  facts: ArtefactFacts
}

/** How widgets look, drawn beforehand, by widget. One that was made a moment ago may not be there yet. */
export async function drawnWidgets(widgetIds: readonly string[]): Promise<Map<string, Drawn>> {
  const rows = await Artefact.findAll({ where: { publicId: [...new Set(widgetIds)], form: THUMBNAIL } })
  return new Map(
    rows.map((row) => [
      row.publicId,
      { thumbnail: JSON.parse(row.bytes.toString('utf8')) as Thumbnail, facts: row.facts },
    ]),
  )
}

/** How these installs look, where each of a widget's looks different, by install. */
export async function drawnInstalls(installIds: readonly string[]): Promise<Record<string, Thumbnail>> {
  const rows = await Artefact.findAll({ where: { installId: [...installIds], form: 'payload' } })
  return Object.fromEntries(
    rows.map((row) => {
      const { html, css, font } = JSON.parse(row.bytes.toString('utf8')) as Thumbnail
      return [row.installId!, { html, css, font }]
    }),
  )
}

export async function thumbnailsOf(widgetIds: readonly string[]): Promise<Record<string, Thumbnail>> {
  const drawn = await drawnWidgets(widgetIds)
  return Object.fromEntries([...drawn].map(([id, { thumbnail }]) => [id, thumbnail]))
}
