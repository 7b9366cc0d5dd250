import { paragraph } from '../../rich-text'
import { lookGroup, messageGroup, overPageGroup, presenceGroup } from '../groups'
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
  sample: () => ({ items: [], facts: {} }),
  render: (view) =>
    overPageGroup.rendered(
      view,
      {
        html: overPageGroup.html(view, { tag: 'dialog', className: 'ov-cover' }),
        css: fullCoverCss(view.settings),
        font: lookGroup.font(view.settings),
      },
      { modal: true, rules: (timeZone) => presenceGroup.rules(view.settings, timeZone) },
    ),
  presence: (settings) => ({ overPage: true, rules: (timeZone) => presenceGroup.rules(settings, timeZone) }),
  pictureAddresses: ({ picture }) => (picture ? [picture] : []),
  inside: ({ inside }) => inside || null,
  parts: ['heading', 'text', 'picture', 'button', 'meta', 'close'],
  pairs: lookGroup.pairs,
}
