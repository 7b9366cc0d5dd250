import { cmsShortcodes } from './cms-shortcodes'
import { handCoded } from './hand-coded'
import type { PlatformProfile } from './profile'

/** Every platform profile, by id. Adding one: a file beside this and a line here (docs/adding-a-platform-profile.md). */
export const profiles: Record<string, PlatformProfile> = {
  [handCoded.id]: handCoded,
  [cmsShortcodes.id]: cmsShortcodes,
}
