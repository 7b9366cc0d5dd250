import type { OverData } from '@pebblestrand/core/kinds'
import type { BehaviourContext } from '../behaviour'

/** Another widget in this one, in a shadow root of its own; gives what undoes it. */
export function fillInside({ root, showWithin }: BehaviourContext, inside: OverData['inside']): () => void {
  const place = root.querySelector<HTMLElement>('[data-inside]')
  if (!place || !inside) return () => {}
  return showWithin(place, inside)
}
