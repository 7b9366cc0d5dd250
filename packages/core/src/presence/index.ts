export { barredBy, type Barred } from './audience'
export { decide, PAUSE, type Candidate, type Decision, type Moment, type Why } from './decide'
export { heldBackBy, type HeldBack } from './limits'
export {
  FORGETFUL,
  readMemory,
  REMEMBERED_AS,
  rememberAnswered,
  rememberClosed,
  rememberShown,
  writeMemory,
  type Memory,
  type Remembered,
} from './memory'
export { isCollision, LONGEST, rehearse, type Happening, type Rehearsed, type Step } from './rehearse'
export { Audience, deviceOf, devices, Limits, PresenceRules, Trigger, type Device } from './rules'
export { isWithin, localTime, type LocalTime } from './site-time'
export { hasFired, triggered } from './triggers'
export { NOTHING_DONE, type Arrival, type Progress, type Visitor } from './visit'
