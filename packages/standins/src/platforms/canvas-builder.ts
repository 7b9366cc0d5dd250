import { escape } from '../html'
import { asWords, isAddress, typographic } from './habits'
import { heading, words } from './parts'
import type { Platform } from './platform'

/** Px that a frame is drawn high, until somebody draws it otherwise. */
const size = { height: { label: 'Drawn height, px', first: '300' } }
const px = (value: string) => Math.min(2000, Math.max(20, Number.parseInt(value, 10) || 300))

/** Pieces laid out on a canvas, without landmarks; code stands in a sandboxed frame of fixed size. Pages change without loading. */
export const canvasBuilder: Platform = {
  boxes: {
    text: {
      label: 'Text piece',
      places: ['header', 'main', 'sidebar', 'footer'],
      show: (text) => asWords(text, (line) => escape(typographic(line))),
    },
    page: {
      label: 'Page frame',
      places: ['header', 'main', 'sidebar', 'footer'],
      show: (text, { beside }) =>
        isAddress(text)
          ? `<div class="canvas-frame"><iframe title="Embedded content" src="${escape(text.trim())}" width="100%" height="${px(beside('height'))}" frameborder="0"></iframe></div>`
          : '',
      asks: size,
    },
    embed: {
      label: 'Code frame',
      places: ['header', 'main', 'sidebar', 'footer'],
      show: (text, { beside }) =>
        `<div class="canvas-code"><iframe title="Embedded code" sandbox="allow-scripts allow-popups allow-forms" srcdoc="${escape(`<!DOCTYPE html><html><body style="margin:0">${text}</body></html>`)}" width="100%" height="${px(beside('height'))}" frameborder="0"></iframe></div>`,
      asks: size,
    },
    head: { label: 'Code for all pages', places: ['head'], show: (text) => text },
  },
  publishing: 'by site',
  styleSheet: '/canvas/site.css',
  css: `.canvas-body{display:grid;grid-template-columns:minmax(0,1fr) var(--side);gap:40px;padding:28px 0 48px}.canvas-body>.canvas-c2{grid-column:1;grid-row:1;min-width:0}.canvas-body>.canvas-c3{grid-column:2;grid-row:1;min-width:0}iframe{border:0}
@media (max-width:720px){.canvas-body{grid-template-columns:minmax(0,1fr)}.canvas-body>.canvas-c2,.canvas-body>.canvas-c3{grid-column:1;grid-row:auto}}`,
  head: () => '<script src="/site/without-loading.js" defer></script>',
  headers: () => ({ 'x-canvas-build': '7' }),
  words: {
    desk: 'Canvas',
    pages: 'Sheets',
    shared: 'On every sheet',
    save: 'Leave the canvas',
    publish: 'Send out the site',
    saved: 'The canvas keeps it. Visitors see the site as it was sent out last.',
    preview: 'Share the canvas',
    published: 'The site is sent out.',
    cacheMenu: 'Network',
    cacheButton: 'Ask the network to forget',
    cacheDone: 'The network forgets by itself when the site is sent out.',
    css: `body{margin:0;font:15px/1.5 "DejaVu Sans",sans-serif;background:#20242e;color:#e8e6df}a{color:#ffd38a}
nav{padding:18px 30px;display:flex;gap:30px;align-items:center}nav form{margin-left:auto}main{margin:0 30px 30px;display:block}
form fieldset{display:inline-grid;vertical-align:top;width:46%;margin:0 1% 18px;border:1px solid #596174;border-radius:14px;background:#2a3040}legend{padding:0 8px;text-transform:capitalize}
textarea{width:100%;height:80px;background:#171a22;color:#e8e6df;border:1px solid #596174;border-radius:8px}button{background:#ffd38a;color:#20242e;border:0;border-radius:8px;padding:9px 20px;font:inherit;cursor:pointer}button.second{background:#596174;color:#fff}.done{color:#a9e3b4}.bad{color:#ffb4a8}`,
  },
  body: (site, page, region) => `<div id="canvas-root" class="canvas-page">
<div class="canvas-c1 masthead"><div class="wrap"><div class="canvas-text"><strong>${escape(site.name)}</strong></div>
<div class="canvas-menu">${site.pages.map((p) => `<a href="${p.path}" data-soft>${escape(p.title)}</a>`).join(' ')}</div>
${region('header')}</div></div>
<div class="wrap canvas-body">
<div class="canvas-c2"><div class="canvas-text"><h1>${heading(site, page)}</h1>${words(page)}</div>
${region('main')}</div>
<div class="canvas-c3">${region('sidebar')}</div>
</div>
<div class="canvas-c4 colophon"><div class="wrap"><div class="canvas-text"><p>${escape(site.name)}</p></div>${region('footer')}</div></div>
</div>`,
}
