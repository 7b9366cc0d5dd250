import type { SourceKind } from '../source-kind'

/** Reviews that are kept here: brought in from a file, or typed by hand. Nothing is asked for elsewhere. */
export const keptHere: SourceKind = {
  id: 'kept-here',
  name: 'Reviews kept here',
  gives: ['review'],
  interval: null,
  keeps: 20_000,
  recognise: () => null,
}
