import type { PlatformProfile } from './profile'
import { box, headBox, keepsAll } from './treatments'

export const hostedShop: PlatformProfile = {
  id: 'hosted-shop',
  name: 'Hosted shop',
  boxes: [
    box({
      id: 'section',
      name: 'Own code',
      places: ['header', 'main', 'sidebar', 'footer'],
      treats: keepsAll,
      note: 'Its content security policy lets in only addresses that the shop’s owner has allowed.',
    }),
    box({
      id: 'description',
      name: 'Description',
      places: ['main'],
      treats: { ...keepsAll, script: 'strips', frame: 'strips', data: 'strips', style: 'strips', address: 'links' },
      note: 'It keeps plain markup and pictures.',
    }),
    headBox('Own head code'),
  ],
  publishing: 'by page',
  caches: [{ id: 'network', name: 'delivery network', clears: 'by itself' }],
  navigation: 'loads',
  connector: false,
  policy:
    "default-src 'self'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self'; connect-src 'self'; frame-src 'self'; base-uri 'self'; object-src 'none'",
  steps: [
    {
      id: 'allow',
      does: 'Let the shop’s owner add our address under **Counter › Allowed addresses**; without it the shop’s policy blocks everything of ours.',
    },
    { id: 'open', does: 'Open **Shop window › {page}**.' },
    { id: 'paste', does: 'Paste into **{box}** of the **{region}**.' },
    { id: 'save', does: 'Press **Keep**.' },
    { id: 'publish', does: 'Press **Open to customers**.' },
    { id: 'cache', does: 'The network clears itself when a page is opened to customers. {cache}' },
    { id: 'look', does: 'Look at the page signed out.' },
  ],
  signs: [
    { of: 'address', like: '*/cart/add*', says: 'a basket that its pages add to' },
    { of: 'address', like: '*/collections/*', says: 'collections of goods' },
    { of: 'address', like: '*/products/*', says: 'pages of goods' },
    { of: 'header', like: 'content-security-policy: *form-action*', says: 'a strict content security policy' },
    { of: 'name', like: 'product-card*', says: 'cards of goods' },
  ],
  words: {
    publish: 'open the page under Shop window and press Open to customers',
    cache: 'open the page to customers once more',
    codeBox: 'Own code',
  },
}
