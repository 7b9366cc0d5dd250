import { escape } from '../html'
import { withLinks, plainMarkup } from './habits'
import { heading, picture, words } from './parts'
import type { Platform } from './platform'

/** A shop behind a strict content security policy, which lets in what its owner has allowed. */
export const hostedShop: Platform = {
  boxes: {
    description: { label: 'Description', places: ['main'], keep: plainMarkup, show: withLinks },
    section: {
      label: 'Own code',
      places: ['header', 'main', 'sidebar', 'footer'],
      show: (text) => `<div class="shop-section">${text}</div>`,
    },
    head: { label: 'Own head code', places: ['head'], show: (text) => text },
  },
  publishing: 'by page',
  settings: { allowed: 'Counter: allowed addresses, with blanks between' },
  styleSheet: '/cdn/theme-11.css',
  css: `.shop-grid{display:grid;grid-template:"main side" auto / minmax(0,1fr) var(--side);gap:40px;padding:28px 0 48px}.shop-grid>[data-area=main]{grid-area:main;min-width:0}.shop-grid>[data-area=side]{grid-area:side}
@media (max-width:720px){.shop-grid{grid-template:"main" auto "side" auto / minmax(0,1fr)}}`,
  headers({ allowed = '' }) {
    const more = allowed
      .split(/\s+/)
      .filter((one) => /^https?:\/\/[\w.:-]+$/.test(one))
      .map((one) => ` ${one}`)
      .join('')
    return {
      'content-security-policy': `default-src 'self'; script-src 'self'${more}; style-src 'self' 'unsafe-inline'; img-src 'self' data:${more}; font-src 'self'${more}; connect-src 'self'${more}; frame-src 'self'${more}; base-uri 'self'; object-src 'none'; form-action 'self'`,
      'permissions-policy': 'fullscreen=(self), camera=(), microphone=(), geolocation=()',
    }
  },
  words: {
    desk: 'Counter',
    pages: 'Shop window',
    shared: 'In every window',
    save: 'Keep',
    publish: 'Open to customers',
    saved: 'Kept, not yet in the window.',
    preview: 'Look from outside (for those who have the address)',
    published: 'Customers see it.',
    cacheMenu: 'Counter settings',
    cacheButton: 'Dust off the window',
    cacheDone: 'The network clears itself.',
    css: `body{margin:0;font:15px/1.5 "Trebuchet MS",sans-serif;background:#fff;color:#2b2140}
nav{float:left;width:150px;min-height:100vh;background:#efe9f8;padding:20px;display:flex;flex-direction:column;gap:14px}nav a{color:#4a2f80}
main{margin-left:210px;padding:20px;max-width:820px}fieldset{border:0;border-top:2px solid #4a2f80;margin:0 0 18px}legend{padding-right:10px;color:#4a2f80;text-transform:capitalize}
textarea{width:100%;height:96px;border:1px solid #c9bce2}button{background:#4a2f80;color:#fff;border:0;border-radius:4px;padding:9px 18px;font:inherit;cursor:pointer}button.second{background:#8b78b5}.done{background:#e6f4e4;padding:8px}.bad{background:#f9dfdf;padding:8px}`,
  },
  body: (site, page, region) => `<shop-header class="masthead"><div class="wrap"><strong>${escape(site.name)}</strong>
<nav aria-label="Shop">${site.pages.map((p) => `<a href="${p.path}">${escape(p.title)}</a>`).join(' ')} <a href="/cart/add">Basket</a></nav>${region('header')}</div></shop-header>
<div class="wrap shop-grid" id="MainContent">
<div data-area="main"><h1>${heading(site, page)}</h1>${picture(site, page)}<div class="product-card">${words(page)}</div>${region('main')}</div>
<div data-area="side">${region('sidebar')}</div>
</div>
<shop-footer class="colophon"><div class="wrap">${region('footer')}<p>${escape(site.name)}</p></div></shop-footer>`,
}
