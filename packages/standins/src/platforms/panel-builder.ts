import { escape } from '../html'
import { asWords, linked, typographic } from './habits'
import { heading, picture, words } from './parts'
import type { Platform } from './platform'

/** A builder of a hosting panel: script parts are off, in the preview too, until the site is published. */
export const panelBuilder: Platform = {
  boxes: {
    text: {
      label: 'Text part',
      places: ['header', 'main', 'sidebar', 'footer'],
      show: (text) => asWords(text, (line) => linked(typographic(line))),
    },
    script: {
      label: 'Script part',
      places: ['main', 'sidebar', 'footer'],
      keep: (text) => text.slice(0, 5000),
      show: (text, { isPreview }) =>
        isPreview
          ? '<div class="panel-part off" style="background:#ddd;padding:30px;text-align:center">Script part. It works once the site is published.</div>'
          : `<div class="panel-part">${text}</div>`,
    },
    head: { label: 'Head part', places: ['head'], show: (text) => text },
  },
  publishing: 'by site',
  styleSheet: '/sitebuilder/css/look3.css',
  css: `.layout-float:after{content:"";display:block;clear:both}.layout-float .stripe{float:left;width:var(--side);margin:28px 40px 28px 0}.layout-float .body-part{overflow:hidden;padding:28px 0 48px}
@media (max-width:720px){.layout-float .stripe{float:none;width:auto;margin-right:0}}`,
  words: {
    desk: 'Hosting panel, site',
    pages: 'Build',
    shared: 'Parts on all pages',
    save: 'Keep',
    publish: 'Publish the site',
    saved: 'Kept. Script parts stay grey until the site is published.',
    preview: 'Preview of the build',
    published: 'The site is published.',
    cacheMenu: 'Page store',
    cacheButton: 'Empty the store',
    cacheDone: 'The store is empty.',
    css: `body{margin:0;font:12px/1.4 "Liberation Sans",sans-serif;background:#d7dde8;color:#1b2638}
nav{background:#1b2638;color:#fff;padding:5px 10px;display:flex;gap:12px;align-items:center}nav a{color:#bcd2ff}nav form{margin-left:auto}
main{margin:8px;background:#eef1f7;border:2px inset #b7c0d2;padding:8px}fieldset{display:block;border:2px groove #b7c0d2;margin-bottom:6px}legend{font-weight:bold;text-transform:capitalize}
label{display:inline-block;width:47%;margin-right:2%}textarea{width:100%;height:70px}button{border:2px outset #b7c0d2;background:#cfd7e6;padding:3px 12px;font:inherit;cursor:pointer}.done{background:#ddf0d5;padding:4px 8px}.bad{background:#f3d5d5;padding:4px 8px}`,
  },
  body: (
    site,
    page,
    region,
  ) => `<div class="masthead"><div class="wrap"><strong>${escape(site.name)}</strong> ${site.pages.map((p) => `<a href="${p.path}">${escape(p.title)}</a>`).join(' ')} ${region('header')}</div></div>
<div class="wrap layout-float">
<div class="stripe">${region('sidebar')}</div>
<div class="body-part"><h1>${heading(site, page)}</h1>${picture(site, page)}${words(page)}${region('main')}</div>
</div>
<div class="colophon"><div class="wrap"><p>${escape(site.name)} · ${escape(site.motto)}</p>${region('footer')}</div></div>`,
}
