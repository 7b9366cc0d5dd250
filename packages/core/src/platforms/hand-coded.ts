import type { PlatformProfile } from './profile'

export const handCoded: PlatformProfile = {
  id: 'hand-coded',
  name: 'Hand-coded HTML',
  boxes: [
    {
      id: 'code',
      name: 'Code box',
      regions: ['header', 'main', 'sidebar', 'footer'],
      keeps: { element: true, script: true, frame: true },
      otherwise: 'strips',
    },
    {
      id: 'visual',
      name: 'Visual text box',
      regions: ['header', 'main', 'sidebar', 'footer'],
      keeps: { element: false, script: false, frame: false },
      otherwise: 'escapes',
    },
  ],
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
