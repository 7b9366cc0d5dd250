import type { Behaviour } from '../behaviour'

/** Shows the next part when it is asked for, at the end of the list; the focus goes to its first item and nothing jumps. */
const more: Behaviour = ({ root, element, data, part, nodes, addStyle }) => {
  const box = root.querySelector<HTMLElement>('.lm')
  const button = box?.querySelector('button')
  const list = root.querySelector<HTMLElement>('.l')
  if (!box || !button || !list) return
  let at = 1
  let isBusy = false
  box.hidden = false
  box.classList.add('on')

  const show = async () => {
    if (isBusy) return
    isBusy = true
    button.setAttribute('aria-busy', 'true')
    const next = await part(at)
    button.removeAttribute('aria-busy')
    isBusy = false
    if (!next) return
    const cells = nodes(next.html)
    const first = cells.firstElementChild as HTMLElement | null
    if (next.css) addStyle(next.css)
    list.append(cells)
    // Whoever enlarges hears of what has come.
    element.dispatchEvent(new CustomEvent('pebblestrand-more', { detail: next.data }))
    const inside = first?.querySelector<HTMLElement>('a[href],button')
    if (first && !inside) first.tabIndex = -1
    ;(inside ?? first)?.focus({ preventScroll: true })
    at += 1
    if (at > Number(data.parts)) box.classList.add('out')
  }
  const onClick = () => void show()
  button.addEventListener('click', onClick)
  return () => button.removeEventListener('click', onClick)
}

export default more
