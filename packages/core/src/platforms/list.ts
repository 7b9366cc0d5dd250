import { blogHost } from './blog-host'
import { canvasBuilder } from './canvas-builder'
import { cmsModules } from './cms-modules'
import { cmsShortcodes } from './cms-shortcodes'
import { handCoded } from './hand-coded'
import { hostedShop } from './hosted-shop'
import { panelBuilder } from './panel-builder'
import type { PlatformProfile } from './profile'
import { sectionBuilder } from './section-builder'
import { tagManager } from './tag-manager'

/** Every platform profile. Adding one: a file beside this and a line here (docs/adding-a-platform-profile.md). */
export const profileList: readonly PlatformProfile[] = [
  handCoded,
  cmsShortcodes,
  cmsModules,
  canvasBuilder,
  sectionBuilder,
  blogHost,
  panelBuilder,
  hostedShop,
  tagManager,
]

/** The same by id. */
export const profiles: Record<string, PlatformProfile> = Object.assign(
  Object.create(null) as Record<string, PlatformProfile>, // so that `constructor` is no profile
  Object.fromEntries(profileList.map((one) => [one.id, one])),
)
