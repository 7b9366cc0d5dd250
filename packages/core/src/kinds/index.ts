export { kindList, kindOf } from './list'
export type {
  Box,
  Content,
  Kind,
  Part,
  RenderContext,
  Rendered,
  RenderedFont,
  Sample,
  Settings,
  Starter,
  View,
} from './kind'
export { briefOf, briefText, settingsOf, type BriefParagraph, type Piece } from './brief'
export { wordsFor, type BriefContext, type Control, type ControlOf, type ControlType } from './controls'
export { difference, renamed, type Change } from './difference'
export { readSettings } from './read-settings'
export { renderSample, renderWidget, siftingOf } from './render-widget'
export { ratingsOf, type Enlarged } from './groups'
export { fitVerdict, gapsHere, mostItems, rowsHint, type FitVerdict } from './fit-words'
export type { HintId, SettingMeta } from './setting'
