import type { SiteLook } from '@pebblestrand/core/look'
import type { Place } from '../../../api/types'

/** What the stage can be: a screen with its usual margin, or the very placement of a site. Px. */
export interface Setting {
  id: string
  name: string
  width: number
  padding: number
  look: SiteLook | null
  /** The page to show around the placement; null where there is none, or none that anybody has looked at. */
  page: { pageId: string; placementId: string } | null
  /** What words hang on there. */
  language: string | null
  timeZone: string
  credited: boolean
}

const screen = (id: string, name: string, width: number, padding: number): Setting => ({
  id,
  name,
  width,
  padding,
  look: null,
  page: null,
  language: null,
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  credited: false,
})

export const screens: Setting[] = [
  screen('phone', 'Phone', 390, 16),
  screen('tablet', 'Tablet', 768, 24),
  screen('desktop', 'Desktop', 1280, 24),
]

/** Width of the screen on which a page is shown around a placement; the page plan's own. */
export const PAGE_WIDTH = 1280

export const asSetting = (place: Place): Setting => ({
  id: place.placementId,
  name: `${place.site}, ${place.page ? `${place.page}, ` : ''}${place.placement}`,
  width: place.width,
  padding: 0,
  look: place.look,
  page: place.pageId ? { pageId: place.pageId, placementId: place.placementId } : null,
  language: place.language,
  timeZone: place.timeZone,
  credited: place.credited,
})

/** Width the widget itself gets. */
export const innerWidth = (setting: Setting) => setting.width - 2 * setting.padding
