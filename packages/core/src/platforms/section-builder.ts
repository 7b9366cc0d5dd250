import type { PlatformProfile } from './profile'
import { box, headBox, keepsAll, showsAsWords, takesAddressOnly } from './treatments'

export const sectionBuilder: PlatformProfile = {
  id: 'section-builder',
  name: 'Hosted builder, stacked sections',
  boxes: [
    box({ id: 'code', name: 'Code section', places: ['main', 'sidebar', 'footer'], treats: keepsAll }),
    box({
      id: 'address',
      name: 'Address section',
      places: ['main', 'sidebar'],
      treats: takesAddressOnly('expands'),
      note: 'It takes an address only, and shows what stands behind it.',
    }),
    box({
      id: 'text',
      name: 'Paragraph section',
      places: ['header', 'main', 'sidebar', 'footer'],
      treats: showsAsWords,
      quotes: 'typographic',
    }),
    headBox('Extra lines for every page'),
  ],
  publishing: 'at once',
  caches: [{ id: 'network', name: 'delivery network', clears: 'by waiting' }],
  navigation: 'without loading',
  connector: false,
  policy: null,
  steps: [
    { id: 'open', does: 'Choose **{page}** from the strip of pages.' },
    { id: 'paste', does: 'In the **{region}** press **Add below**, choose **{box}**, and paste into it.' },
    { id: 'save', does: 'Press **Done**. It is online at once.' },
    { id: 'cache', does: 'Wait: its network keeps copies that nobody can clear. {cache}' },
    { id: 'look', does: 'Look at the page signed out.' },
  ],
  signs: [
    { of: 'name', like: 'page-section*', says: 'pages that are stacked sections' },
    { of: 'name', like: 'section-stack*', says: 'pages that are stacked sections' },
    { of: 'header', like: 'x-sections*', says: 'a header that its servers add' },
  ],
  words: {
    publish: 'open the section and press Done',
    cache: 'wait until its network has forgotten the old copy',
    codeBox: 'a Code section',
  },
}
