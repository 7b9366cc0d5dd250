import { builds } from '../builds/list'
import { platformOf } from '../platforms/list'
import { fontFace } from './fonts'
import type { Site } from './site'

/** Each site's own style sheet, from its theme. */
export function styleSheet(site: Site): string {
  const { theme: t } = site
  const families = [...new Set([t.heading, t.body])].map(fontFace).join('\n')
  const columns = t.sidebarAt === 'right' ? `minmax(0,1fr) ${t.sidebarWidth}px` : `${t.sidebarWidth}px minmax(0,1fr)`
  const head = {
    band: `.masthead{background:${t.band};color:#fff}.masthead a{color:#fff}`,
    plain: `.masthead{border-bottom:4px solid ${t.accent}}`,
    centred: `.masthead .wrap{justify-content:center;text-align:center;flex-direction:column}.masthead{background:${t.band}}`,
  }[t.head]
  return `${families}
*{box-sizing:border-box}
body{--side:${t.sidebarWidth}px;margin:0;font-family:"${t.body}",Georgia,serif;color:${t.ink};background:${t.ground};line-height:1.6}
h1,h2,h3{font-family:"${t.heading}",Georgia,serif;line-height:1.2}
a{color:${t.accent}}
.wrap{max-width:${t.contentWidth}px;margin:0 auto;padding:0 20px}
.masthead .wrap{display:flex;gap:12px 32px;align-items:center;flex-wrap:wrap;padding-top:20px;padding-bottom:20px}
.masthead strong{font-family:"${t.heading}",serif;font-size:26px}
.masthead nav{display:flex;gap:18px;flex-wrap:wrap}
${head}
.columns{display:grid;grid-template-columns:${columns};gap:40px;padding-top:28px;padding-bottom:48px}
.columns>.side{grid-column:${t.sidebarAt === 'right' ? 2 : 1};grid-row:1}
.columns>main{grid-column:${t.sidebarAt === 'right' ? 1 : 2};grid-row:1;min-width:0}
.picture{width:100%;height:220px;object-fit:cover;border-radius:3px}
.colophon{background:${t.band}33;border-top:1px solid ${t.ink}22;padding:24px 0;font-size:14px}
.editor-bar{background:#222;color:#ddd;font:13px/1 system-ui,sans-serif;padding:9px 16px;display:flex;gap:16px}
.editor-bar a{color:#fff}
@media (max-width:720px){.columns{grid-template-columns:minmax(0,1fr)}.columns>.side,.columns>main{grid-column:1;grid-row:auto}}
${platformOf(site).css ?? ''}${builds[site.host]?.css(t) ?? ''}
`
}
