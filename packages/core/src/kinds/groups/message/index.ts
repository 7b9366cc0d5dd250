import { messageCss } from './css'
import { buttonHtml } from './buttons'
import { messageHtml, namedBy } from './html'
import { buttonEntry, messageShape, picturePlacing } from './settings'
import { button } from './starting'

export type { Button, MessageSettings } from './settings'

/** What something over the page says: heading, text, picture, another widget, buttons, small print. */
export const messageGroup = {
  shape: messageShape,
  picturePlacing,
  button,
  buttonEntry,
  buttonHtml,
  html: messageHtml,
  namedBy,
  css: messageCss,
}
