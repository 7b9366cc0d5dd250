import { escape } from '../html'
import { expand } from './expand'
import { asWords, isAddress, typographic } from './habits'
import { heading, picture, words } from './parts'
import type { Platform } from './platform'

/** An address that shows nothing of itself becomes a card with a link. */
const card = (address: string) =>
  `<a class="link-card" href="${escape(address)}">${escape(address.replace(/^https?:\/\//, ''))}</a>`

/** Sections stacked on one another; what is done is online at once, and the network keeps copies that nobody can clear. */
export const sectionBuilder: Platform = {
  boxes: {
    text: {
      label: 'Paragraph section',
      places: ['header', 'main', 'sidebar', 'footer'],
      show: (text) => asWords(text, (line) => escape(typographic(line))),
    },
    address: {
      label: 'Address section',
      places: ['main', 'sidebar'],
      show: async (text) =>
        isAddress(text)
          ? `<div class="section-embed">${(await expand(text.trim(), 640)) ?? card(text.trim())}</div>`
          : '',
    },
    code: {
      label: 'Code section',
      places: ['main', 'sidebar', 'footer'],
      show: (text) => `<div class="section-code">${text}</div>`,
    },
    head: { label: 'Extra lines for every page', places: ['head'], show: (text) => text },
  },
  publishing: 'at once',
  styleSheet: '/assets/stack-4f1c.css',
  css: `.page-section{padding:30px 0}.page-section .section-columns{display:flex;gap:40px}.section-columns>:first-child{flex:1;min-width:0}.section-columns>.narrow{flex:0 0 var(--side)}
@media (max-width:720px){.page-section .section-columns{flex-direction:column}.section-columns>.narrow{flex-basis:auto}}`,
  head: () => '<script src="/site/without-loading.js" defer></script>',
  headers: () => ({ 'x-sections': 'stack' }),
  words: {
    desk: 'Stack',
    pages: 'Strip of pages',
    shared: 'Sections on every page',
    save: 'Done',
    publish: 'Done, and show me',
    saved: 'It is online.',
    preview: 'Show the page',
    published: 'It is online.',
    cacheMenu: 'Speed',
    cacheButton: 'Ask about stored copies',
    cacheDone: 'Stored copies go by themselves after a while.',
    css: `body{margin:0;font:17px/1.6 Georgia,serif;background:#fff;color:#111}
nav{padding:30px 8vw;display:flex;gap:34px}nav a{color:#111}nav form{margin-left:auto}main{padding:0 8vw 60px}
fieldset{border:0;border-left:6px solid #111;padding:4px 0 4px 24px;margin:0 0 34px}legend{font-size:30px;text-transform:capitalize}
label{display:block;margin-bottom:12px}textarea{width:100%;height:90px;border:0;border-bottom:2px solid #111;background:#fafafa}button{background:#111;color:#fff;border:0;padding:14px 34px;font:inherit;cursor:pointer}button.second{background:#fff;color:#111;border:2px solid #111}.done{color:#0a6b3c}.bad{color:#b00020}`,
  },
  body: (site, page, region) => `<div class="section-stack">
<section class="page-section masthead" data-section="intro"><div class="wrap"><strong>${escape(site.name)}</strong>
<p class="links">${site.pages.map((p) => `<a href="${p.path}" data-soft>${escape(p.title)}</a>`).join(' ')}</p>${region('header')}</div></section>
<section class="page-section" data-section="text"><div class="wrap section-columns"><div><h1>${heading(site, page)}</h1>${picture(site, page)}${words(page)}${region('main')}</div>
<div class="narrow">${region('sidebar')}</div></div></section>
<section class="page-section colophon" data-section="end"><div class="wrap"><p>${escape(site.motto)}</p>${region('footer')}</div></section>
</div>`,
}
