import { escape } from '../html'
import { heading, navigation, picture, words } from '../platforms/parts'
import type { Build } from './build'

// Three more themes of the CMS with shortcodes: each names and nests its parts in its own way.

/** Blocks within groups, the side column's block a sibling of main. */
export const blocks: Build = {
  body: (site, page, region) => `<div class="site-blocks">
<div class="masthead block-head"><div class="wrap">
<strong class="block-title">${escape(site.name)}</strong>
<nav aria-label="Pages" class="block-menu">${navigation(site)}</nav>
${region('header')}
</div></div>
<div class="wrap block-columns">
<main id="content" class="block-group entry">
<h1 class="entry-title">${heading(site, page)}</h1>
<div class="entry-text">${picture(site, page)}
${words(page)}</div>
${region('main')}
</main>
<div class="block-group widget-area sidebar">
${region('sidebar')}
</div>
</div>
<div class="colophon block-foot"><div class="wrap">
<p>${escape(site.name)}, Skerrow Isles.</p>
${region('footer')}
</div></div>
</div>`,
  css: ({
    sidebarAt,
  }) => `.block-columns{display:grid;grid-template-columns:${sidebarAt === 'right' ? 'minmax(0,1fr) var(--side)' : 'var(--side) minmax(0,1fr)'};grid-template-areas:${sidebarAt === 'right' ? '"text more"' : '"more text"'};gap:40px;padding-top:28px;padding-bottom:48px}
.block-columns>main{grid-area:text;min-width:0}.widget-area{grid-area:more;min-width:0}
@media (max-width:720px){.block-columns{grid-template-columns:minmax(0,1fr);grid-template-areas:"text" "more"}}`,
}

/** A main that wraps all of it, the side column a role within it. */
export const mainAround: Build = {
  body: (site, page, region) => `<div id="masthead" class="masthead"><div class="wrap">
<strong>${escape(site.name)}</strong>
<nav aria-label="Pages">${navigation(site)}</nav>
${region('header')}
</div></div>
<main class="wrap night">
<div class="col-main">
<h1 class="post-title">${heading(site, page)}</h1>
${picture(site, page)}
${words(page)}
${region('main')}
</div>
<div class="col-side" role="complementary">
${region('sidebar')}
</div>
</main>
<div class="colophon" role="contentinfo"><div class="wrap">
<p>${escape(site.name)}, Skerrow Isles.</p>
${region('footer')}
</div></div>`,
  css: ({ sidebarAt }) => `.night{display:flow-root;padding-top:28px;padding-bottom:48px}
.col-side{float:${sidebarAt};width:var(--side)}.col-main{float:${sidebarAt === 'right' ? 'left' : 'right'};width:calc(100% - var(--side) - 40px)}
@media (max-width:720px){.col-side,.col-main{float:none;width:auto}}`,
}

/** The side column first, both columns named by their rank. */
export const byRank: Build = {
  body: (site, page, region) => `<div class="hfeed">
<div id="masthead" class="masthead"><div class="wrap">
<strong>${escape(site.name)}</strong>
<nav aria-label="Pages">${navigation(site)}</nav>
${region('header')}
</div></div>
<div class="wrap ranks">
<div id="secondary" class="widget-column sidebar">
${region('sidebar')}
</div>
<div id="primary" role="main">
<div class="hentry">
<h1 class="entry-title">${heading(site, page)}</h1>
${picture(site, page)}
${words(page)}
${region('main')}
</div>
</div>
</div>
<div id="colophon" class="colophon"><div class="wrap">
<p>${escape(site.name)}, Skerrow Isles.</p>
${region('footer')}
</div></div>
</div>`,
  css: ({
    sidebarAt,
  }) => `.ranks{display:flex;flex-direction:${sidebarAt === 'right' ? 'row-reverse' : 'row'};gap:40px;padding-top:28px;padding-bottom:48px}
#secondary{flex:0 0 var(--side);min-width:0}#primary{flex:1;min-width:0}
@media (max-width:720px){.ranks{flex-direction:column-reverse}#secondary{flex-basis:auto}}`,
}
