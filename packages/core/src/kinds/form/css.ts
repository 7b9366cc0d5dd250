import { formGroup, lookGroup, messageGroup } from '../groups'
import { widthAnsweringHost } from '../host-css'
import type { FormKindSettings } from './settings'

export const formKindCss = (settings: FormKindSettings): string =>
  widthAnsweringHost +
  lookGroup.css(settings) +
  '.w{position:relative;overflow-wrap:anywhere}' +
  messageGroup.css({ ...settings, buttons: [] }) +
  formGroup.css(settings)
