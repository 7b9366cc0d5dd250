import type { PlatformProfile } from './profile'
import { box, headBox, keepsAll, showsAsWords } from './treatments'

export const cmsShortcodes: PlatformProfile = {
  id: 'cms-shortcodes',
  name: 'CMS with plugins and shortcodes',
  boxes: [
    box({
      id: 'code',
      name: 'Markup block',
      places: ['header', 'main', 'sidebar', 'footer'],
      treats: { ...keepsAll, shortcode: 'replaces' },
    }),
    box({
      id: 'filtered',
      name: 'Safe markup block',
      places: ['main', 'sidebar'],
      treats: { ...keepsAll, script: 'strips', shortcode: 'replaces' },
      note: 'It takes scripts out whenever the page is kept.',
    }),
    box({
      id: 'visual',
      name: 'Written block',
      places: ['main', 'sidebar', 'footer'],
      treats: { ...showsAsWords, address: 'expands', shortcode: 'replaces' },
      quotes: 'typographic',
      note: 'It shows markup as text. An address on a line of its own becomes what stands behind it.',
    }),
    headBox('Lines for head and foot'),
  ],
  publishing: 'by page',
  caches: [
    { id: 'pages', name: 'stored pages', clears: 'by hand' },
    { id: 'optimiser', name: 'merged scripts', clears: 'by hand' },
  ],
  navigation: 'loads',
  connector: true,
  policy: null,
  steps: [
    { id: 'open', does: 'Sign in, then **Content › {page}**.' },
    {
      id: 'paste',
      does: 'Under **{region}**, paste into the **{box}**. The written block shows code as text; the safe one takes scripts out.',
    },
    { id: 'save', does: 'Press **Keep changes**. They are kept for editors only.' },
    { id: 'publish', does: 'Press **Put online**.' },
    { id: 'cache', does: 'Clear the cache: **Upkeep › Forget stored pages**. {cache}' },
    { id: 'look', does: 'Look at the page signed out.' },
  ],
  signs: [
    { of: 'address', like: '*/plugins/*/*', says: 'a folder of plugins that its pages load from' },
    { of: 'address', like: '*/themes/*/*', says: 'a folder of themes that its pages load from' },
    { of: 'generator', like: '?*', says: 'the program its pages say they were written by' },
  ],
  words: {
    publish: 'open the page under Content and press Put online',
    cache: 'under Upkeep › Forget stored pages',
    codeBox: 'the Markup block',
  },
}
