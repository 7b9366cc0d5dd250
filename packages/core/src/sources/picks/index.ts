import type { SourceKind } from '../source-kind'

/** A collection made by hand: its entries are picks, in the order a person gives them. Nothing is asked for elsewhere. */
export const picks: SourceKind = {
  id: 'picks',
  name: 'Picks',
  gives: ['pick'],
  interval: null,
  keeps: 2000,
  recognise: () => null,
}
