import { paragraph } from '../../rich-text'
import { formGroup, messageGroup, overPageGroup } from '../groups'
import type { Kind } from '../kind'
import { fullCoverCss } from './css'
import { FullCoverSettings } from './settings'

const { button } = messageGroup

export const fullCover: Kind<FullCoverSettings> = {
  id: 'full-cover',
  name: 'Full cover',
  purpose: 'A message over the whole window, solid or see-through.',
  version: 1,
  upgrade: {},
  settings: FullCoverSettings,
  starters: [
    {
      id: 'welcome',
      name: 'Welcome',
      settings: {
        heading: 'A new exhibition has opened',
        body: [paragraph('Forty knots, and the hands that tied them. Upstairs, until the end of March.')],
        buttons: [button('Plan a visit', 'address', '/visit'), button('On to the page', 'close')],
        triggers: [{ on: 'arrival' }],
        visits: 'first',
        theme: 'light',
        headingSize: 'largest',
      },
    },
    {
      id: 'veil',
      name: 'See-through veil',
      settings: {
        heading: 'Closed for the winter',
        body: [paragraph('We open again on the first of April. Orders by post go on as ever.')],
        buttons: [button('On to the page', 'close')],
        theme: 'dark',
        opacity: 80,
        headingSize: 'largest',
        triggers: [{ on: 'seconds', seconds: 5 }],
      },
    },
  ],
  ...overPageGroup.facets({ tag: 'dialog', className: 'ov-cover', css: fullCoverCss }),
  parts: ['heading', 'text', 'picture', 'button', 'meta', 'close', ...formGroup.parts],
}
