import { MARK, pathTo } from '@pebblestrand/core/wire'
import { mount } from './mount'
import { readyOpeners } from './openers'
import { startBehaviours } from './start-behaviours'

const SEEN = `${MARK}-seen`
/** A page of ours, in a frame or behind the no-script link: its HTML is there, only its behaviours are not. */
const PAGE = `${MARK}-page`

/** Finds our elements on the page and fills each once. Whatever fails, the page does not notice: the link in it stays. */
export function boot(origin: string): void {
  const fill = () => {
    readyOpeners()
    document
      .querySelectorAll<HTMLElement>(`[${MARK}]:not([${SEEN}])`)
      .forEach((element) => void fetchInto(element, origin))
    document
      .querySelectorAll<HTMLElement>(`[${PAGE}]:not([${SEEN}])`)
      .forEach((element) => bringToLife(element, origin))
  }
  fill()
  if (document.readyState === 'loading') document.addEventListener('DOMContentLoaded', fill)
}

async function fetchInto(element: HTMLElement, origin: string): Promise<void> {
  element.setAttribute(SEEN, '')
  const id = element.getAttribute(MARK)!
  try {
    const answer = await fetch(origin + pathTo('payload', id), { credentials: 'omit' })
    if (answer.status === 410)
      element.remove() // retired
    else if (answer.ok) mount(element, await answer.json(), origin, id)
  } catch {
    // no network, or blocked by the site's policy
  }
}

function bringToLife(element: HTMLElement, origin: string): void {
  element.setAttribute(SEEN, '')
  const { id, behaviours, data } = JSON.parse(element.getAttribute(PAGE)!)
  startBehaviours(behaviours, { root: element, element, id, origin, data })
}
