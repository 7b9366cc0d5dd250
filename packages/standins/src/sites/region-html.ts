import { platformOf } from '../platforms/list'
import type { Boxes } from '../state/store'
import type { RegionName, Site } from './site'

interface Moment {
  site: Site
  isPreview: boolean
  settings: Readonly<Record<string, string>>
}

/** The boxes of a region, or of the head, as the page shows them, in the order in which the platform has them. */
export async function regionHtml(
  place: RegionName | 'head',
  boxes: Boxes | undefined,
  moment: Moment,
): Promise<string> {
  if (!boxes) return ''
  const parts: string[] = []
  for (const [id, box] of Object.entries(platformOf(moment.site).boxes)) {
    const text = boxes[id]
    if (!text?.trim() || !box.places.includes(place)) continue
    const beside = (name: string) => boxes[`${id}-${name}`] ?? box.asks?.[name]?.first ?? ''
    parts.push(await box.show(text, { ...moment, beside }))
  }
  return parts.join('\n')
}

/** What is kept of a page's boxes when it is saved, each as its box keeps it. */
export async function keptBoxes(site: Site, boxes: Boxes): Promise<Boxes> {
  const kinds = platformOf(site).boxes
  const kept: Boxes = {}
  for (const [id, text] of Object.entries(boxes)) kept[id] = (await kinds[id]?.keep?.(text)) ?? text
  return kept
}
