import type { StagePayload } from '@pebblestrand/core/artefacts'
import { OVER_MARK, RELEASE_MARK } from '@pebblestrand/core/wire'
import { show } from './show'
import { startBehaviours } from './start-behaviours'

const VERSION = 2

/**
 * Shows a payload in an element and brings it to life. Bytes of another version are left alone: the link in the element
 * stays, and the page does not notice.
 * @param id of the install; '' where it is only looked at
 */
export function mount(element: HTMLElement, payload: StagePayload, origin: string, id = ''): void {
  if (payload.v !== VERSION || !payload.html) return
  // Over the page it is not seen before its time.
  if (payload.data.over && id) element.setAttribute(OVER_MARK, 'shut')
  const root = show(element, payload, origin)
  element.setAttribute(RELEASE_MARK, String(payload.release))
  startBehaviours(payload.behaviours, { root, element, id, origin, data: payload.data, more: payload.more })
}
