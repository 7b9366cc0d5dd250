import { escape } from '../html'
import type { Content } from '../state/store'
import { regionHtml } from './boxes'
import type { RegionName, Site, SitePage } from './site'
import { styleSheetPath } from './style'

export interface PageContents {
  shared: Content
  own: Content
}

/** A whole page as a visitor, or a signed-in editor with a bar on top, gets it. */
export function pageHtml(
  site: Site,
  page: SitePage,
  contents: PageContents,
  editor: { deskPath: string } | null,
): string {
  const region = (name: RegionName) =>
    [contents.shared[name], contents.own[name]].map(regionHtml).filter(Boolean).join('\n')
  const build = site.platform === 'cms' ? cmsBody : handCodedBody
  return `<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escape(page.title)} · ${escape(site.name)}</title>
<link rel="stylesheet" href="${styleSheetPath(site)}">
</head>
<body>
${editor ? `<div class="editor-bar">You are signed in. <a href="${editor.deskPath}">Back to the desk</a></div>` : ''}
${build(site, page, region)}
</body>
</html>
`
}

type Fill = (name: RegionName) => string

const navigation = (site: Site) => site.pages.map((p) => `<a href="${p.path}">${escape(p.title)}</a>`).join('\n')
const words = (page: SitePage) => page.paragraphs.map((p) => `<p>${escape(p)}</p>`).join('\n')
const picture = (site: Site, page: SitePage) =>
  page.path === '/' ? `<img class="picture" src="/picture.svg" alt="The shore at ${escape(site.name)}">` : ''

/** Landmarks throughout, as someone writes them by hand. */
function handCodedBody(site: Site, page: SitePage, region: Fill): string {
  return `<header class="masthead"><div class="wrap">
<strong>${escape(site.name)}</strong>
<nav>
${navigation(site)}
</nav>
${region('header')}
</div></header>
<div class="wrap columns">
<main>
<h1>${escape(page.title === 'Home' ? site.motto : page.title)}</h1>
${picture(site, page)}
${words(page)}
${region('main')}
</main>
<aside class="side">
${region('sidebar')}
</aside>
</div>
<footer class="colophon"><div class="wrap">
<p>${escape(site.name)}, Skerrow Isles. ${escape(site.motto)}.</p>
${region('footer')}
</div></footer>`
}

/** Classes rather than landmarks for the side column, as themes of such systems do. */
function cmsBody(site: Site, page: SitePage, region: Fill): string {
  return `<div id="masthead" class="masthead site-header"><div class="wrap">
<strong>${escape(site.name)}</strong>
<nav aria-label="Pages">
${navigation(site)}
</nav>
${region('header')}
</div></div>
<div id="page" class="wrap columns">
<main id="content" class="content-area">
<h1 class="entry-title">${escape(page.title === 'Home' ? site.motto : page.title)}</h1>
${picture(site, page)}
${words(page)}
${region('main')}
</main>
<div class="side widget-area sidebar">
${region('sidebar')}
</div>
</div>
<div class="colophon site-footer"><div class="wrap">
<p>${escape(site.name)}, Skerrow Isles.</p>
${region('footer')}
</div></div>`
}
