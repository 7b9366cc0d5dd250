// What decides in a visitor's browser: without the schemas, which would be most of what they download.
export { decide, PAUSE, type Candidate, type Decision, type Moment, type Why } from './decide'
export { deviceOf } from './devices'
export {
  readMemory,
  REMEMBERED_AS,
  rememberAnswered,
  rememberClosed,
  rememberSeen,
  rememberShown,
  writeMemory,
  type Memory,
} from './memory'
export { NOTHING_DONE, type Arrival, type Progress, type Visitor } from './visit'
export type { PresenceRules, Trigger } from './rules'
