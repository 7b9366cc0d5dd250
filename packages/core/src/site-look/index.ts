export { lookChanges, type LookChange } from './changes'
export { pageSheets, samplesFromSheets, type Sheet } from './from-sheets'
export { lookFrom } from './look-from'
export type { LookSamples, Taken, TakenLook } from './samples'
