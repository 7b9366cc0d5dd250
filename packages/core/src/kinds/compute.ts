import type { Item } from '../items'
import { sift, type Sieved } from '../sieve'
import type { Kind, PayloadBase, PayloadContext } from './kind'

/** A kind's whole computation, the same in the workbench and on the server: items through the sieve, then to a payload. */
export function compute<S, P extends PayloadBase>(
  kind: Kind<S, P>,
  settings: S,
  items: readonly Item[],
  context: PayloadContext,
  now: Date,
): { sieved: Sieved; payload: P } {
  const sieved = sift(items, kind.rules(settings), kind.order(settings), now)
  return { sieved, payload: kind.payload(settings, sieved.items, context) }
}
