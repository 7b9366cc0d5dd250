import { escape } from '../html'
import { heading, navigation, picture, words } from './parts'
import type { Platform } from './platform'

/** A site that nobody here can edit: a container puts tags into all of its pages, in versions that are sent out. */
export const tagManager: Platform = {
  boxes: {
    tag: { label: 'Markup tag', places: ['head'], show: () => '' }, // its container brings it, not the page
  },
  publishing: 'by site',
  styleSheet: '/static/main.9c2e.css',
  css: `.two-up{display:flex;gap:40px;padding:28px 0 48px}.two-up>main{flex:1;min-width:0}.two-up>.beside{flex:0 0 var(--side)}@media (max-width:720px){.two-up{flex-direction:column}.two-up>.beside{flex-basis:auto}}`,
  head: (site) => `<script async src="/container.js?id=SK-${site.host.length}"></script>`,
  words: {
    desk: 'Container',
    pages: 'Pages (to look at only)',
    shared: 'Tags',
    save: 'Keep tag',
    publish: 'Send out version',
    saved: 'Kept. Only the preview shows it.',
    preview: 'Preview of the container',
    published: 'A new version is out.',
    cacheMenu: 'Versions',
    cacheButton: 'Ask browsers to fetch again',
    cacheDone: 'Browsers fetch the container again within a minute.',
    css: `body{margin:0;font:14px/1.5 "Courier New",monospace;background:#f2f2ee;color:#222}
nav{padding:14px 22px;display:flex;gap:22px;border-bottom:1px solid #999;align-items:center}nav a{color:#8a1f4b}nav form{margin-left:auto}
main{margin:22px;max-width:760px}fieldset{border:0;background:#fff;margin:0 0 14px;padding:14px}legend{float:left;text-transform:capitalize;margin-right:20px}
textarea{width:100%;height:130px;border:1px solid #999;font:12px monospace}button{background:#8a1f4b;color:#fff;border:0;padding:7px 16px;font:inherit;cursor:pointer}button.second{background:#222}.done{color:#22663a}.bad{color:#a02020}`,
  },
  body: (
    site,
    page,
    region,
  ) => `<div class="masthead"><div class="wrap"><b>${escape(site.name)}</b> <nav>${navigation(site)}</nav>${region('header')}</div></div>
<div class="wrap two-up"><main><h1>${heading(site, page)}</h1>${picture(site, page)}${words(page)}<div class="slot" data-slot="main">${region('main')}</div></main>
<div class="beside" data-slot="beside">${region('sidebar')}</div></div>
<footer class="colophon"><div class="wrap"><p>${escape(site.name)}</p>${region('footer')}</div></footer>`,
}

/** What the container does in a visitor's browser: puts each tag at the end of the page, its scripts made anew so that they run. */
export const containerScript = (tags: string) => `(function () {
  var holder = document.createElement('div');
  holder.innerHTML = ${JSON.stringify(tags).replace(/</g, '\\u003c')};
  function put() {
    Array.prototype.slice.call(holder.childNodes).forEach(function (node) {
      if (node.nodeName !== 'SCRIPT') return document.body.appendChild(node);
      var script = document.createElement('script');
      Array.prototype.forEach.call(node.attributes, function (a) { script.setAttribute(a.name, a.value); });
      script.text = node.text;
      document.body.appendChild(script);
    });
  }
  if (document.body) put(); else document.addEventListener('DOMContentLoaded', put);
})();
`
