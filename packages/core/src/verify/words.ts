// The verifier's names and sentences, without the parser that the rest of it needs.
export { statuses, statusIds, type InstallStatus } from './status-names'
export { age, catalogue, findingCodes, type FindingCode, type FindingSubject, type NextAction } from './catalogue'
export {
  browserLookIds,
  isBrowserLook,
  lookIds,
  lookKinds,
  PICTURE_TALLEST,
  plainLookIds,
  type BrowserLookId,
  type LookId,
  type PlainLookId,
} from './look-kinds'
export { knownBy, type KnownBy } from './place/known-by'
