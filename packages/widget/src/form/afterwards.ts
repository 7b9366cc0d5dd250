import type { FormData as Told } from '@pebblestrand/core/kinds'
import type { Place } from './filling'
import { pageAddress } from './values'

/** What comes once a form has arrived: thanks in its place, what all answered, another page, or it goes away by itself. */
export function afterwards(
  form: HTMLFormElement,
  { goes, page, seconds }: Told['after'],
  results: string,
  { root, element, id, nodes }: Place,
): void {
  form.hidden = true
  form.reset()
  const done = root.querySelector<HTMLElement>('.dn')
  if (done) {
    done.hidden = false
    if (results) done.querySelector('.rs')?.replaceChildren(nodes(results))
    done.focus({ preventScroll: true })
    done.scrollIntoView({ block: 'nearest' })
  }
  element.dispatchEvent(new CustomEvent('pebblestrand:answered', { bubbles: true, composed: true, detail: { id } }))
  press(root, 'data-answers')
  if (goes === 'closes') setTimeout(() => press(root, 'data-closes'), seconds * 1000)
  if (goes === 'page' && page && id) {
    const address = new URL(page, pageAddress() ?? location.href)
    if (/^https?:$/.test(address.protocol)) window.open(address, '_top')
  }
}

/** Over the page, whatever stands there listens to its buttons: it learns of an answer as of any other press. */
function press(root: ParentNode, what: 'data-answers' | 'data-closes'): void {
  const button = document.createElement('button')
  button.type = 'button'
  button.hidden = true
  button.setAttribute(what, '')
  root.append(button)
  button.click()
  button.remove()
}
