import { blogHost } from './blog-host'
import { canvasBuilder } from './canvas-builder'
import { cmsModules } from './cms-modules'
import { cmsShortcodes } from './cms-shortcodes'
import { handCoded } from './hand-coded'
import { hostedShop } from './hosted-shop'
import { panelBuilder } from './panel-builder'
import type { Platform } from './platform'
import { sectionBuilder } from './section-builder'
import { tagManager } from './tag-manager'

/** Every simulated platform, by what it accepts. */
export const platforms = {
  'hand-coded': handCoded,
  'cms-shortcodes': cmsShortcodes,
  'cms-modules': cmsModules,
  'canvas-builder': canvasBuilder,
  'section-builder': sectionBuilder,
  'blog-host': blogHost,
  'panel-builder': panelBuilder,
  'hosted-shop': hostedShop,
  'tag-manager': tagManager,
} as const satisfies Record<string, Platform>

export type PlatformId = keyof typeof platforms

export const platformOf = ({ platform }: { platform: PlatformId }): Platform => platforms[platform]
