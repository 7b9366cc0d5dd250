import type { SiteList } from '@pebblestrand/core/artefacts'
import { MARK, pathTo } from '@pebblestrand/core/wire'

/** On elements that the tag has put there: only these it takes away again. */
const BROUGHT = `${MARK}-brought`

/** Milliseconds in which changes of the page are gathered. */
const GATHER_MS = 200

/**
 * Brings what is planned for this page to its places, and follows pages that change without loading. Whatever fails, the page does
 * not notice.
 * @param fill makes widgets of the elements that are there and were not before
 */
export async function bringSite(site: string, origin: string, fill: () => void): Promise<void> {
  try {
    const answer = await fetch(origin + pathTo('site', site), { credentials: 'omit' })
    if (!answer.ok) return
    const { v, shows } = (await answer.json()) as SiteList
    if (v !== 1) return
    const bring = () => {
      shows.forEach(bringOne)
      // Also what was pasted into a page that came without loading: its own script did not run.
      fill()
    }
    let waiting = 0
    const soon = () => (waiting ||= window.setTimeout(() => ((waiting = 0), bring()), GATHER_MS))
    bring()
    document.addEventListener('DOMContentLoaded', bring)
    addEventListener('popstate', soon)
    new MutationObserver(soon).observe(document.documentElement, { childList: true, subtree: true })
  } catch {
    // no network, blocked by the site's policy, or a selector that this browser does not know
  }
}

function bringOne({ id, on, at, room }: SiteList['shows'][number]): void {
  const there = document.querySelector(`[${MARK}="${CSS.escape(id)}"]`)
  if (!new RegExp(on, 'u').test(location.pathname)) {
    if (there?.hasAttribute(BROUGHT)) there.remove()
    return
  }
  const host = there ? null : at ? document.querySelector(at) : document.body
  if (!host) return
  const element = document.createElement('div')
  element.setAttribute(MARK, id)
  element.setAttribute(BROUGHT, '')
  if (room) element.style.minHeight = room
  host.append(element)
}
