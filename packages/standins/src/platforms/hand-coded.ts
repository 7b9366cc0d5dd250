import { escape } from '../html'
import { asWords } from './habits'
import { heading, navigation, picture, words } from './parts'
import type { Platform } from './platform'

/** Landmarks throughout, as someone writes them by hand. */
export const handCoded: Platform = {
  boxes: {
    visual: {
      label: 'Visual text box',
      places: ['header', 'main', 'sidebar', 'footer'],
      show: (text) => asWords(text),
    },
    code: { label: 'Code box', places: ['header', 'main', 'sidebar', 'footer'], show: (text) => text },
    head: { label: 'Lines for the head', places: ['head'], show: (text) => text },
  },
  publishing: 'by page',
  styleSheet: '/style.css',
  words: {
    desk: 'Editing desk',
    pages: 'Pages',
    shared: 'Every page',
    save: 'Save',
    publish: 'Publish page',
    saved: 'Saved. Visitors do not see it yet.',
    preview: 'Preview that can be passed on',
    published: 'Published.',
    cacheMenu: 'Delivery',
    cacheButton: 'Empty page cache',
    cacheDone: 'The page cache is empty.',
    css: `body{margin:0;font:14px/1.5 Arial,Helvetica,sans-serif;background:#e9edf1;color:#222}
nav{background:#3c4a5a;padding:10px 20px;display:flex;gap:20px;align-items:center}nav a,nav b{color:#fff}nav form{margin-left:auto}
main{max-width:900px;margin:20px auto;background:#fff;border:1px solid #c3ccd5;padding:10px 28px 28px}
fieldset{border:1px solid #c3ccd5;margin:0 0 16px;display:grid;grid-template-columns:1fr 1fr;gap:14px}legend{font-weight:bold;text-transform:capitalize}
textarea{width:100%;height:110px;font:12px/1.4 "Liberation Mono",monospace}button{background:#2f6f3e;border:0;color:#fff;padding:8px 16px;font-size:14px;cursor:pointer}
button.second{background:#5b6877}.done{background:#e2f2e4;border-left:4px solid #2f6f3e;padding:8px 12px}.bad{background:#fbe6e4;border-left:4px solid #a33;padding:8px 12px}li{margin:6px 0}`,
  },
  body: (site, page, region) => `<header class="masthead"><div class="wrap">
<strong>${escape(site.name)}</strong>
<nav>
${navigation(site)}
</nav>
${region('header')}
</div></header>
<div class="wrap columns">
<main>
<h1>${heading(site, page)}</h1>
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
</div></footer>`,
}
