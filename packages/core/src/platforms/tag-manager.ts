import type { PlatformProfile } from './profile'
import { headBox } from './treatments'

export const tagManager: PlatformProfile = {
  id: 'tag-manager',
  name: 'Tag manager',
  boxes: [
    headBox('Markup tag', {
      id: 'tag',
      who: 'editors',
      note: 'The page itself cannot be edited; a tag is put into every page it is set for.',
    }),
  ],
  publishing: 'by site',
  caches: [{ id: 'container', name: 'copy of the tags in visitors’ browsers', clears: 'by waiting' }],
  navigation: 'loads',
  connector: false,
  policy: null,
  steps: [
    { id: 'open', does: 'Open the site’s container and press **New tag**.' },
    { id: 'paste', does: 'Choose **{box}**, paste into it, and set it for **all pages**.' },
    { id: 'save', does: 'Press **Keep tag**. Only the preview shows it now.' },
    { id: 'publish', does: 'Press **Send out version**.' },
    { id: 'cache', does: 'Browsers keep the tags for a while. {cache}' },
    { id: 'look', does: 'Look at the page in a private window: the preview shows more than visitors see.' },
  ],
  signs: [{ of: 'address', like: '*/container.js?id=*', says: 'a container of tags that its pages load' }],
  words: {
    publish: 'open the container and press Send out version',
    cache: 'wait a quarter of an hour; browsers keep the tags for a while',
    codeBox: 'a Markup tag',
  },
}
