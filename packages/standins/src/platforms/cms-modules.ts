import { escape } from '../html'
import { withLinks, withoutScriptsAndData, wordsMarkup } from './habits'
import { heading, picture, words } from './parts'
import type { Platform } from './platform'

const module = (label: string, html: string) => `<div class="moduletable ${label}">${html}</div>`
/** A module shows only while its switch is on. */
const shown = { shown: { label: 'Shown', first: 'on' } }

/** Modules at positions, an article in the middle, and the sidebar before it in the source. */
export const cmsModules: Platform = {
  boxes: {
    article: {
      label: 'Article text',
      places: ['main'],
      keep: withoutScriptsAndData,
      show: withLinks,
    },
    words: {
      label: 'Words module',
      places: ['header', 'sidebar', 'footer'],
      keep: wordsMarkup,
      show: (text, { beside }) => (beside('shown') === 'on' ? module('words', withLinks(text)) : ''),
      asks: shown,
    },
    raw: {
      label: 'Raw module',
      places: ['header', 'main', 'sidebar', 'footer'],
      show: (text, { beside }) => (beside('shown') === 'on' ? module('raw', text) : ''),
      asks: shown,
    },
    head: { label: 'Template, head lines', places: ['head'], show: (text) => text },
  },
  publishing: 'by page',
  styleSheet: '/templates/isle/css/template.css',
  css: `.grid-row{display:flex;gap:40px;padding:28px 0 48px}.grid-row>.col-side{flex:0 0 var(--side);order:2}.grid-row>.col-body{flex:1;min-width:0}
@media (max-width:720px){.grid-row{flex-direction:column-reverse}.grid-row>.col-side{flex-basis:auto}}`,
  words: {
    desk: 'Administration',
    pages: 'Articles and modules',
    shared: 'Assigned to all pages',
    save: 'Store',
    publish: 'Release changes',
    saved: 'Stored, not released.',
    preview: 'Preview address',
    published: 'Released.',
    cacheMenu: 'System, stores',
    cacheButton: 'Empty pages and modules',
    cacheDone: 'Both stores are empty.',
    css: `body{margin:0;font:13px/1.45 Verdana,sans-serif;background:#fdfdfd;color:#333}
nav{background:linear-gradient(#f3efe0,#e3dcc2);border-bottom:1px solid #a89f7c;padding:6px 14px;display:flex;gap:16px;align-items:center}nav a{color:#4b4420}nav form{margin-left:auto}
main{margin:14px}fieldset{border:1px dashed #a89f7c;margin:0 0 12px;display:flex;flex-wrap:wrap;gap:12px;padding:8px 12px}legend{background:#4b4420;color:#fff;padding:1px 8px;text-transform:uppercase;font-size:11px}
label{flex:1 1 260px}textarea{width:100%;height:90px;font:12px monospace}button{border:1px solid #4b4420;background:#f3efe0;padding:4px 12px;font:inherit;cursor:pointer}.done{background:#eef4d8;padding:6px 10px}.bad{background:#f6ddd8;padding:6px 10px}`,
  },
  body: (site, page, region) => `<div class="body-inner site-grid">
<div class="masthead" id="g-top"><div class="wrap"><strong>${escape(site.name)}</strong>
<ul class="mod-menu">${site.pages.map((p) => `<li><a href="${p.path}">${escape(p.title)}</a></li>`).join('')}</ul>
<div class="pos pos-top">${region('header')}</div></div></div>
<div class="wrap"><div class="grid-row">
<div class="col-side pos pos-right">${region('sidebar')}</div>
<div class="col-body com-content-article item-page"><h1>${heading(site, page)}</h1>
${picture(site, page)}
<div class="article-body">${words(page)}</div>
${region('main')}</div>
</div></div>
<div class="colophon" id="g-foot"><div class="wrap"><p>${escape(site.name)}</p><div class="pos pos-foot">${region('footer')}</div></div></div>
</div>`,
}
