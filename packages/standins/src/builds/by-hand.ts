import { escape } from '../html'
import { heading, navigation, picture, words } from '../platforms/parts'
import type { Build } from './build'

// Three more hands that wrote a site: landmarks in all, in other orders, other elements around them, other names.

/** The side column comes first in the source, the menu stands below the head, an article within main. */
export const sideFirst: Build = {
  body: (site, page, region) => `<div class="sheet"><header class="masthead"><div class="wrap">
<strong>${escape(site.name)}</strong>
${region('header')}
</div></header>
<nav class="trail"><div class="wrap">${navigation(site)}</div></nav>
<div class="wrap orchard">
<aside class="side press">
${region('sidebar')}
</aside>
<main class="tree">
<article class="leaf">
<h1>${heading(site, page)}</h1>
${picture(site, page)}
${words(page)}
</article>
${region('main')}
</main>
</div>
<footer class="colophon"><div class="wrap">
<p>${escape(site.name)}. ${escape(site.motto)}.</p>
${region('footer')}
</div></footer></div>`,
  css: ({
    sidebarAt,
  }) => `.trail{border-bottom:1px solid #0002}.trail .wrap{display:flex;gap:18px;flex-wrap:wrap;padding-top:8px;padding-bottom:8px}
.orchard{display:flex;flex-direction:${sidebarAt === 'right' ? 'row-reverse' : 'row'};gap:40px;padding-top:28px;padding-bottom:48px}
.press{flex:0 0 var(--side);min-width:0}.tree{flex:1;min-width:0}
@media (max-width:720px){.orchard{flex-direction:column-reverse}.press{flex-basis:auto}}`,
}

/** Parts within parts, named by what they look like. */
export const partsWithin: Build = {
  body: (site, page, region) => `<div class="shell">
<header class="masthead row"><div class="wrap">
<strong>${escape(site.name)}</strong>
<nav class="u-flex u-gap-3">${navigation(site)}</nav>
${region('header')}
</div></header>
<div class="wrap cells">
<main class="cell-wide">
<section class="part part--first">
<h1 class="u-mt-0">${heading(site, page)}</h1>
${picture(site, page)}
${words(page)}
</section>
<section class="part">
${region('main')}
</section>
</main>
<div class="cell-slim"><aside class="part">
${region('sidebar')}
</aside></div>
</div>
<footer class="colophon"><div class="wrap u-flex">
<section class="u-grow"><p>${escape(site.name)}, Skerrow Isles.</p></section>
<section class="u-grow">${region('footer')}</section>
</div></footer>
</div>`,
  css: ({
    sidebarAt,
  }) => `.cells{display:flex;flex-direction:${sidebarAt === 'right' ? 'row' : 'row-reverse'};flex-wrap:wrap;padding-top:28px;padding-bottom:48px}
.cell-wide{flex:1 1 0;min-width:min(100%,400px);padding-${sidebarAt === 'right' ? 'right' : 'left'}:40px}.cell-slim{width:var(--side)}
.u-flex{display:flex;gap:18px;flex-wrap:wrap}.u-grow{flex:1 1 300px;min-width:0}.u-mt-0{margin-top:0}
@media (max-width:720px){.cells{display:block}.cell-wide{padding:0}.cell-slim{width:auto}}`,
}

/** All of it in one box, each part named by its voice. */
export const inOneBox: Build = {
  body: (site, page, region) => `<div id="choir" class="choir">
<header class="masthead soprano"><div class="wrap">
<strong>${escape(site.name)}</strong>
${region('header')}
<nav>${navigation(site)}</nav>
</div></header>
<div class="wrap columns">
<main class="alto">
<h1>${heading(site, page)}</h1>
<div class="verse">${picture(site, page)}
${words(page)}</div>
${region('main')}
</main>
<aside class="side tenor">
${region('sidebar')}
</aside>
</div>
<footer class="colophon bass"><div class="wrap">
${region('footer')}
<p>${escape(site.name)}, Skerrow Isles. ${escape(site.motto)}.</p>
</div></footer>
</div>`,
  css: () => '.choir{min-height:100vh}',
}
