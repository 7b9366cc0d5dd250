import type { PlatformProfile } from './profile'
import { box, headBox, keepsAll, showsAsWords } from './treatments'

export const handCoded: PlatformProfile = {
  id: 'hand-coded',
  name: 'Hand-coded HTML',
  boxes: [
    box({ id: 'code', name: 'Code box', places: ['header', 'main', 'sidebar', 'footer'], treats: keepsAll }),
    box({
      id: 'visual',
      name: 'Visual text box',
      places: ['header', 'main', 'sidebar', 'footer'],
      treats: showsAsWords,
    }),
    headBox('Lines for the head', { who: 'editors' }),
  ],
  publishing: 'by page',
  caches: [{ id: 'pages', name: 'page cache', clears: 'by hand' }],
  navigation: 'loads',
  connector: false,
  policy: null,
  steps: [
    { id: 'open', does: 'Open **{page}** at the editing desk.' },
    { id: 'paste', does: 'Paste into the **{box}** of the **{region}**, not into the visual text box.' },
    { id: 'save', does: 'Press **Save**. Visitors see nothing of it yet.' },
    { id: 'publish', does: 'Press **Publish page**.' },
    { id: 'cache', does: 'Clear the cache: **Delivery › Empty page cache**. {cache}' },
    { id: 'look', does: 'Look at the page signed out.' },
  ],
  signs: [],
  words: {
    publish: 'open the page at the editing desk and press Publish page',
    cache: 'at the editing desk, Delivery › Empty page cache',
    codeBox: 'the Code box',
  },
}
