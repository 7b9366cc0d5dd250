export { barredBy, type Barred } from './audience'
export { decide, PAUSE, type Candidate, type Decision, type Moment, type Why } from './decide'
export { deviceOf, devices, NARROWER, type Device } from './devices'
export { isWithin } from './hours'
export { heldBackBy, type HeldBack } from './limits'
export {
  FORGETFUL,
  readMemory,
  REMEMBERED_AS,
  rememberAnswered,
  rememberClosed,
  rememberSeen,
  rememberShown,
  writeMemory,
  type Memory,
  type Remembered,
} from './memory'
export { momentOutside, momentWithin } from './moments'
export { mayAppearAt, pagesToTry } from './pages'
export {
  isCollision,
  LONGEST,
  rehearse,
  type At,
  type Happening,
  type MadeUpVisitor,
  type Outcome,
  type PageStay,
  type Placed,
  type Rehearsal,
  type Step,
} from './rehearse'
export { Audience, Limits, PresenceRules, Trigger } from './rules'
export { Expected, MadeUpVisit, unmet, visitorOf } from './made-up'
export { monthOf, THRESHOLDS, typicalVisitors, type Typical } from './typical'
export { hasFired, triggered } from './triggers'
export { NOTHING_DONE, type Arrival, type Progress, type Visitor } from './visit'
