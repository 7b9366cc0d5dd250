import { escape } from '../html'
import { asWords, linked, withLinks, typographic, withoutScripts } from './habits'
import { heading, picture, words } from './parts'
import type { Platform } from './platform'

/** Posts in the middle, gadgets beside them; tables hold the columns, as designs of this kind long did. */
export const blogHost: Platform = {
  boxes: {
    written: {
      label: 'Post, written view',
      places: ['main'],
      show: (text) => asWords(text, (line) => linked(typographic(line))),
    },
    post: { label: 'Post, markup view', places: ['main'], keep: withoutScripts, show: withLinks },
    gadget: {
      label: 'Script gadget',
      places: ['header', 'sidebar', 'footer'],
      show: (text) => `<div class="gadget HTML">${text}</div>`,
    },
    head: { label: 'Design, head lines', places: ['head'], show: (text) => text },
  },
  publishing: 'by page',
  styleSheet: '/design/leaf.css',
  css: `table.frame{width:100%;border-collapse:collapse}table.frame td{vertical-align:top;padding:28px 0 48px}table.frame td.narrow-cell{width:calc(var(--side) + 40px);padding-left:40px;box-sizing:border-box}
@media (max-width:720px){table.frame td{display:block;padding:20px 0}table.frame td.narrow-cell{width:auto;padding-left:0}}`,
  words: {
    desk: 'Writing room',
    pages: 'Posts and pages',
    shared: 'Arrangement',
    save: 'Save draft',
    publish: 'Renew post',
    saved: 'The draft is saved.',
    preview: 'Preview',
    published: 'It is out.',
    cacheMenu: 'Storage',
    cacheButton: 'Empty it',
    cacheDone: 'This blog keeps no pages.',
    css: `body{margin:0;font:16px/1.55 Tahoma,sans-serif;background:#f4fbf7;color:#143326}
nav{border-top:10px solid #2d7a56;padding:12px 26px;display:flex;gap:18px;background:#fff;align-items:center}nav a{color:#2d7a56}nav form{margin-left:auto}
main{max-width:680px;margin:22px 26px}fieldset{border:1px solid #b9dccb;background:#fff;margin:0 0 14px}legend{color:#2d7a56;text-transform:capitalize}
textarea{width:100%;height:120px;border:1px solid #b9dccb}button{background:#fff;border:2px solid #2d7a56;color:#2d7a56;padding:5px 15px;font:inherit;cursor:pointer}.done{background:#d8f1e4;padding:6px 10px}.bad{background:#fde2de;padding:6px 10px}`,
  },
  body: (
    site,
    page,
    region,
  ) => `<center class="outer"></center><div class="masthead"><div class="wrap"><h2 class="blog-title">${escape(site.name)}</h2>
<p>${site.pages.map((p) => `<a href="${p.path}">${escape(p.title)}</a>`).join(' · ')}</p>${region('header')}</div></div>
<div class="wrap"><table class="frame" role="presentation"><tbody><tr>
<td><div class="blog-posts hfeed"><div class="post-outer"><h3 class="post-title">${heading(site, page)}</h3>
<div class="post-body">${picture(site, page)}${words(page)}${region('main')}</div></div></div></td>
<td class="narrow-cell"><div class="gadgets-column">${region('sidebar')}</div></td>
</tr></tbody></table></div>
<div class="colophon"><div class="wrap">${region('footer')}<p>${escape(site.name)}</p></div></div>`,
}
