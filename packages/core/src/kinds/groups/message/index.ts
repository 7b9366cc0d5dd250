import { messageCss } from './css'
import { messageHtml, namedBy } from './html'
import { messageShape, picturePlacing } from './settings'
import { button } from './starting'

export type { Button, MessageSettings } from './settings'

/** What something over the page says: heading, text, picture, another widget, buttons, small print. */
export const messageGroup = {
  shape: messageShape,
  picturePlacing,
  button,
  html: messageHtml,
  namedBy,
  css: messageCss,
}
