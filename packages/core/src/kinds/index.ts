export { playersOf } from './groups/enlarge'
export { fitMends, type FitMend } from './fit-mends'
export { kindList, kindOf } from './list'
export { cssVariables, partNames, partsOf, type PartName } from './parts'
export { usualAround } from './spoken'
export type {
  Around,
  Box,
  Credit,
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
export { faultsIn, parted, together, toFinish, type Unfinished } from './unfinished'
export {
  drawn,
  drawnHeight,
  followsTheDay,
  phraseWish,
  picturedIn,
  showsNothing,
  renderSample,
  standsForSample,
  renderWidget,
  siftingOf,
} from './render-widget'
export {
  measured,
  ratingsOf,
  resultsHtml,
  type FormData,
  type FormFact,
  type Enlarged,
  type Measured,
  type OverData,
  type Pair,
} from './groups'
export { fitVerdict, fillsHere, gapsHere, mostItems, rowsHint, type FitVerdict } from './fit-words'
export type { HintId, SettingMeta } from './setting'
export { contentKeys, designOf, ownKeys, redesigned, type Redesigned } from './design'
export { readStarterFile, starterFile, StarterFile, type ReadStarter } from './starter-file'
export type { OpenNowData } from './opening-hours'
