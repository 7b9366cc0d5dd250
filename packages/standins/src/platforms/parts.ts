import { escape } from '../html'
import type { Site, SitePage } from '../sites/site'

// Pieces that pages of several platforms have.

export const navigation = (site: Site) => site.pages.map((p) => `<a href="${p.path}">${escape(p.title)}</a>`).join('\n')
export const words = (page: SitePage) => page.paragraphs.map((p) => `<p>${escape(p)}</p>`).join('\n')
export const picture = (site: Site, page: SitePage) =>
  page.path === '/' ? `<img class="picture" src="/picture.svg" alt="The shore at ${escape(site.name)}">` : ''
export const heading = (site: Site, page: SitePage) => escape(page.title === 'Home' ? site.motto : page.title)
