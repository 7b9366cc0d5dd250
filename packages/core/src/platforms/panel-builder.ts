import type { PlatformProfile } from './profile'
import { box, headBox, keepsAll, showsAsWords } from './treatments'

export const panelBuilder: PlatformProfile = {
  id: 'panel-builder',
  name: 'Hosting-panel builder',
  boxes: [
    box({
      id: 'script',
      name: 'Script part',
      places: ['main', 'sidebar', 'footer'],
      treats: keepsAll,
      most: 5000,
      note: 'It stays off, in the preview too, until the site is published.',
    }),
    box({
      id: 'text',
      name: 'Text part',
      places: ['header', 'main', 'sidebar', 'footer'],
      treats: { ...showsAsWords, address: 'links' },
      quotes: 'typographic',
    }),
    headBox('Head part'),
  ],
  publishing: 'by site',
  caches: [{ id: 'pages', name: 'page store', clears: 'by itself' }],
  navigation: 'loads',
  connector: false,
  policy: null,
  steps: [
    { id: 'open', does: 'In the hosting panel: **Site › Build**, then the page **{page}**.' },
    {
      id: 'paste',
      does: 'Drag a **{box}** into the **{region}** and paste into it. It stays grey until the site is published.',
    },
    { id: 'save', does: 'Press **Keep**.' },
    { id: 'publish', does: 'Press **Publish the site**; scripts are off until then.' },
    { id: 'cache', does: 'Wait for the store of pages to follow, or press **Publish the site** again. {cache}' },
    { id: 'look', does: 'Look at the page signed out.' },
  ],
  signs: [
    { of: 'name', like: 'panel-part*', says: 'parts that a panel’s builder puts around what it shows' },
    { of: 'address', like: '*/sitebuilder/*', says: 'a folder of a builder that its pages load from' },
  ],
  words: {
    publish: 'press Publish the site in the hosting panel; script parts are off until then',
    cache: 'press Publish the site again, or wait',
    codeBox: 'a Script part',
  },
}
