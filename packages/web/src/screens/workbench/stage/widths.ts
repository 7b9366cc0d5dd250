import type { SiteLook } from '@pebblestrand/core/look'
import type { Place } from '../../../api/types'

/** What the stage can be: a screen with its usual margin, or the very placement of a site. Px. */
export interface Setting {
  id: string
  name: string
  width: number
  padding: number
  look: SiteLook | null
}

export const screens: Setting[] = [
  { id: 'phone', name: 'Phone', width: 390, padding: 16, look: null },
  { id: 'tablet', name: 'Tablet', width: 768, padding: 24, look: null },
  { id: 'desktop', name: 'Desktop', width: 1280, padding: 24, look: null },
]

export const asSetting = (place: Place): Setting => ({
  id: place.placementId,
  name: `${place.site}, ${place.page ? `${place.page}, ` : ''}${place.placement}`,
  width: place.width,
  padding: 0,
  look: place.look,
})

/** Width the widget itself gets. */
export const innerWidth = (setting: Setting) => setting.width - 2 * setting.padding
