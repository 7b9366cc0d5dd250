import { OPENS_MARK, pathTo } from '@pebblestrand/core/wire'
import type { OpensDialog } from './behaviours/dialog'
import { mount } from './mount'

/** Opens widgets of ours where something is pressed that is marked for it; whatever fails, the link leads to the widget's own page. */
export function followOpeners(origin: string): void {
  document.addEventListener('click', (event) => {
    if (event.defaultPrevented || event.button || event.ctrlKey || event.metaKey || event.shiftKey || event.altKey)
      return
    const opener = pressed(event)
    if (!opener) return
    event.preventDefault()
    open(opener, origin)
  })
  // What is no link and no button is reached and pressed by keys all the same.
  document.addEventListener('keydown', (event) => {
    const opener = pressed(event)
    if (!opener || opener !== event.target || opener.matches('a[href], button') || !/^(Enter| )$/.test(event.key))
      return
    event.preventDefault()
    open(opener, origin)
  })
}

/** Tells who does not see it what openers do; those that cannot be reached by keys can be from now on. */
export function readyOpeners(): void {
  document.querySelectorAll<HTMLElement>(`[${OPENS_MARK}]:not([aria-haspopup])`).forEach((opener) => {
    opener.setAttribute('aria-haspopup', 'dialog')
    if (opener.matches('a[href], button')) return
    opener.tabIndex = 0
    opener.setAttribute('role', 'button')
  })
}

const pressed = (event: Event): HTMLElement | null =>
  event.target instanceof Element ? event.target.closest<HTMLElement>(`[${OPENS_MARK}]`) : null

function open(opener: HTMLElement, origin: string): void {
  const id = opener.getAttribute(OPENS_MARK)!
  // No network, blocked by the site's policy, or retired: its own page says what there is to say.
  openBy(id, origin, opener).catch(() => location.assign(origin + pathTo('link', id)))
}

/** Opens one by its install's id; what opens it comes with the first wish. Also for scripts of the site. */
export const openBy = (id: string, origin: string, opener: HTMLElement | null = null): Promise<void> =>
  import(/* @vite-ignore */ origin + pathTo('behaviour', 'dialog')).then((module: { default: OpensDialog }) =>
    module.default({ opener, id, origin, mount }),
  )
