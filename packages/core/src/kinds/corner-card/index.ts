import { paragraph } from '../../rich-text'
import { formGroup, messageGroup, overPageGroup } from '../groups'
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
  ...overPageGroup.facets({ tag: 'section', className: 'ov-card', css: cornerCardCss }),
  parts: ['heading', 'text', 'picture', 'button', 'meta', 'close', ...formGroup.parts],
}
