// What a visitor's browser needs to say whether a place is open now.
export { wallClock } from '../zoned-time'
export { openState } from './open-state'
export { stateWords, type StateWords } from './state-words'
export type { OpeningHours } from './opening-hours'
