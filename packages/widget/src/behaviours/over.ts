import type { OverData } from '@pebblestrand/core/kinds'
import { OVER_MARK } from '@pebblestrand/core/wire'
import type { Behaviour } from '../behaviour'
import { countdown } from '../over/countdown'
import { fillInside } from '../over/inside'
import { Standing } from '../over/standing'
import { answer, call, close, join, open, openSoon } from '../over/turns'

/**
 * Something over the page: it appears when its rules say so, one at a time. On the workbench's stage it is simply open; on a page of
 * its own it stands there as it is.
 */
const over: Behaviour = (context) => {
  const { root, element, data, id, origin } = context
  const told = data.over as OverData & { widget?: string }
  const inside = fillInside(context, told.inside)
  const stopCounting = countdown(root)
  if (!(root instanceof ShadowRoot)) return () => (inside(), stopCounting())
  const standing = new Standing(element, root, told, () => (id ? close(id) : standing.close()), !id)
  const press = (event: Event) => {
    const pressed = (event.target as Element).closest<HTMLElement>('[data-closes],[data-opens],[data-answers]')
    if (!pressed || !id) return pressed?.hasAttribute('data-closes') ? standing.close() : undefined
    const words = pressed.textContent.trim()
    if (pressed.hasAttribute('data-closes')) return close(id)
    if (pressed.dataset.opens) {
      answer(id, words, true)
      open(pressed.dataset.opens)
    } else answer(id, words, /^#/.test(pressed.getAttribute('href') ?? ''))
  }
  root.addEventListener('click', press)
  let leave = () => {}
  if (id) leave = join({ id, widget: told.widget ?? '', rules: told.rules, timeZone: told.timeZone, standing, origin })
  else standing.open()
  return () => {
    root.removeEventListener('click', press)
    leave()
    inside()
    stopCounting()
    if (!id) return
    standing.end()
    element.removeAttribute(OVER_MARK)
  }
}

export default over
export { call, openSoon }
