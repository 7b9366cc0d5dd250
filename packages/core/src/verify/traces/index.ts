export { findTraces, type DeadTrace, type ScriptTrace, type Trace, type Traces } from './find-traces'
export type { Mention, TextPlace } from './mentions'
