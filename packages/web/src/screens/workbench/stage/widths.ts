import type { SiteLook } from '@pebblestrand/core/look'
import type { Place } from '../../../api/types'

/** A window to look at a widget in; px. */
export interface Screen {
  id: 'phone' | 'tablet' | 'desktop'
  name: string
  width: number
  /** What a page usually leaves at each side. */
  padding: number
}

export const screens: readonly Screen[] = [
  { id: 'phone', name: 'Phone', width: 390, padding: 16 },
  { id: 'tablet', name: 'Tablet', width: 768, padding: 24 },
  { id: 'desktop', name: 'Desktop', width: 1280, padding: 24 },
]
export const desktop = screens[2]!

/** What the stage can be: a window with its usual margin, or the very placement of a site in such a window. Px. */
export interface Setting {
  screen: Screen
  place: Place | null
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

/** A widget by itself in a window. */
export const byItself = (screen: Screen): Setting => ({
  screen,
  place: null,
  width: screen.width,
  padding: screen.padding,
  look: null,
  page: null,
  language: null,
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  credited: false,
})

export const inPlace = (place: Place, screen: Screen): Setting => ({
  screen,
  place,
  width: widthIn(place, screen),
  padding: 0,
  look: place.look,
  page: place.pageId ? { pageId: place.pageId, placementId: place.placementId } : null,
  language: place.language,
  timeZone: place.timeZone,
  credited: place.credited,
})

/** Px that a placement gives; where nobody measured it in a narrow window, all of that but its usual margins. */
const widthIn = (place: Place, screen: Screen): number =>
  plannedIn(place, screen) ?? Math.min(place.width, screen.width - 2 * screen.padding)

const plannedIn = ({ width, widthTablet, widthPhone }: Place, { id }: Screen): number | null =>
  ({ desktop: width, tablet: widthTablet, phone: widthPhone })[id]

/** Px that the plan says of a placement in such a window; null where it says nothing, or of no placement. */
export const plannedWidth = ({ place, screen }: Setting): number | null => place && plannedIn(place, screen)

/** What an address says of a setting. */
export const inAddress = ({ place, screen }: Setting) =>
  place
    ? { stage: place.placementId, screen: screen === desktop ? undefined : screen.id }
    : { stage: screen.id, screen: undefined }

/** Width the widget itself gets. */
export const innerWidth = (setting: Setting) => setting.width - 2 * setting.padding
