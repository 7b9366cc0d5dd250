import { paragraph } from '../../rich-text'
import { formGroup, messageGroup, overPageGroup } from '../groups'
import type { Kind } from '../kind'
import { centreDialogCss } from './css'
import { CentreDialogSettings } from './settings'

const { button } = messageGroup

export const centreDialog: Kind<CentreDialogSettings> = {
  id: 'centre-dialog',
  name: 'Centre dialog',
  purpose: 'A message in the middle of the window; the page waits behind it.',
  version: 1,
  upgrade: {},
  settings: CentreDialogSettings,
  starters: [
    {
      id: 'offer',
      name: 'Offer',
      settings: {
        heading: 'Something for your next visit',
        body: [paragraph('Show this page at the till until the end of the month, and the first coffee is on us.')],
        buttons: [button('Thank you', 'close')],
        radius: 10,
      },
    },
    {
      id: 'notice',
      name: 'Notice',
      settings: {
        heading: 'We are closed next week',
        body: [paragraph('From Monday to Friday nobody is here. Letters are answered the week after.')],
        buttons: [button('I see', 'close')],
        triggers: [{ on: 'arrival' }],
        enter: 'fade',
        radius: 4,
        borderWidth: 1,
      },
    },
    {
      id: 'leaving',
      name: 'Before they go',
      settings: {
        heading: 'Before you go',
        body: [paragraph('Was anything missing? A line from you helps the next visitor.')],
        buttons: [button('Write to us', 'address', '/contact'), button('No, thank you', 'close')],
        triggers: [{ on: 'leaving' }],
        daysAfterClosing: 30,
        radius: 16,
      },
    },
  ],
  ...overPageGroup.facets({ tag: 'dialog', className: 'ov-dialog', css: centreDialogCss }),
  parts: ['heading', 'text', 'picture', 'button', 'meta', 'close', ...formGroup.parts],
}
