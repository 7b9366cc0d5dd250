import { isPattern, matchesPattern } from '@pebblestrand/core/page-patterns'
import type { InstallOnSite, Page, Placement, SiteDetail } from '../../api/types'

/** Whether a page, or pattern of pages, holds a path. */
export const covers = (pattern: string, path: string) =>
  isPattern(pattern) ? matchesPattern(pattern, path) : pattern === path

/** What stands on a page: its own installs, and those of patterns that hold it. */
export function installsOn(site: SiteDetail, page: Page): InstallOnSite[] {
  const holding = new Set(
    site.pages
      .filter((p) => p.id === page.id || (isPattern(p.path) && !isPattern(page.path) && covers(p.path, page.path)))
      .map((p) => p.id),
  )
  return site.installs.filter((install) => holding.has(install.pageId))
}

/** A page's placements: the shared ones and its own. */
export const placementsOf = (site: SiteDetail, page: Page): Placement[] =>
  site.placements.filter((p) => p.pageId === null || p.pageId === page.id)

/** The page to begin with: the first plain one. */
export const firstPage = (site: SiteDetail): Page | undefined =>
  site.pages.find((p) => !isPattern(p.path)) ?? site.pages[0]
