import type { PlatformProfile } from './profile'
import { box, headBox, keepsAll, showsAsWords, takesAddressOnly } from './treatments'

export const canvasBuilder: PlatformProfile = {
  id: 'canvas-builder',
  name: 'Hosted builder, free canvas',
  boxes: [
    box({
      id: 'embed',
      name: 'Code frame',
      places: ['header', 'main', 'sidebar', 'footer'],
      treats: keepsAll,
      ownFrame: { sandbox: ['allow-scripts', 'allow-popups', 'allow-forms'], width: null, height: null },
      note: 'All that is pasted stands in a frame of its own, as large as it is drawn on the canvas.',
    }),
    box({
      id: 'page',
      name: 'Page frame',
      places: ['header', 'main', 'sidebar', 'footer'],
      treats: takesAddressOnly('frames'),
      note: 'It takes an address and shows that page in a frame.',
    }),
    box({
      id: 'text',
      name: 'Text piece',
      places: ['header', 'main', 'sidebar', 'footer'],
      treats: showsAsWords,
      quotes: 'typographic',
    }),
    headBox('Code for all pages'),
  ],
  publishing: 'by site',
  caches: [{ id: 'network', name: 'delivery network', clears: 'by itself' }],
  navigation: 'without loading',
  connector: false,
  policy: null,
  steps: [
    { id: 'open', does: 'Open the canvas of **{page}**.' },
    {
      id: 'paste',
      does: 'Draw a **{box}** into the **{region}** and paste into it. It does not grow with what is in it.',
    },
    { id: 'save', does: 'The canvas keeps it by itself. Visitors see nothing of it yet.' },
    { id: 'publish', does: 'Press **Send out the site**.' },
    { id: 'look', does: 'Look at the page signed out.' },
  ],
  signs: [
    { of: 'name', like: 'canvas-*', says: 'pieces that are laid out on a canvas' },
    { of: 'header', like: 'x-canvas-*', says: 'a header that its servers add' },
    { of: 'name', like: 'comp-*', says: 'pieces with ids of a canvas' },
  ],
  words: {
    publish: 'press Send out the site on the canvas',
    cache: 'press Send out the site once more; it clears its own copies',
    codeBox: 'a Code frame',
  },
}
