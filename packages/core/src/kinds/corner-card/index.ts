import { paragraph } from '../../rich-text'
import { lookGroup, messageGroup, overPageGroup, presenceGroup } from '../groups'
import type { Kind } from '../kind'
import { cornerCardCss } from './css'
import { CornerCardSettings } from './settings'

const { button } = messageGroup

export const cornerCard: Kind<CornerCardSettings> = {
  id: 'corner-card',
  name: 'Corner card',
  purpose: 'A small message in a corner of the window; the page stays usable.',
  version: 1,
  upgrade: {},
  settings: CornerCardSettings,
  starters: [
    {
      id: 'tip',
      name: 'Tip',
      settings: {
        heading: 'Clear sky tonight',
        body: [paragraph('The dome is open from nine. Bring a scarf.')],
        buttons: [button('When and where', 'address', '/visit')],
        headingSize: 'smaller',
        textSize: 'smaller',
        radius: 10,
      },
    },
    {
      id: 'plain',
      name: 'Plain line',
      settings: {
        body: [paragraph('New in the shop: the winter glazes.')],
        buttons: [button('Have a look', 'address', '/shop')],
        enter: 'fade',
        borderWidth: 1,
        radius: 0,
        textSize: 'smaller',
      },
    },
  ],
  sample: () => ({ items: [], facts: {} }),
  render: (view) =>
    overPageGroup.rendered(
      view,
      {
        html: overPageGroup.html(view, { tag: 'section', className: 'ov-card' }),
        css: cornerCardCss(view.settings),
        font: lookGroup.font(view.settings),
      },
      { modal: false, rules: (timeZone) => presenceGroup.rules(view.settings, timeZone) },
    ),
  presence: (settings) => ({ overPage: true, rules: (timeZone) => presenceGroup.rules(settings, timeZone) }),
  pictureAddresses: ({ picture }) => (picture ? [picture] : []),
  inside: ({ inside }) => inside || null,
  parts: ['heading', 'text', 'picture', 'button', 'meta', 'close'],
  pairs: lookGroup.pairs,
}
