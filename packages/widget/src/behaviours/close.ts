import type { Behaviour } from '../behaviour'

/** Lets what stands over the page be closed, for as long as the tab is open. Where nothing may be stored, for this page. */
const close: Behaviour = ({ root, element }) => {
  const box = root.querySelector<HTMLElement>('.fl')
  const button = box?.querySelector<HTMLButtonElement>('.cx')
  if (!box || !button) return
  const key = `pebblestrand closed ${element.getAttribute('data-pebblestrand') ?? ''}`
  try {
    box.hidden = sessionStorage.getItem(key) === '1'
  } catch {
    // a page without storage
  }
  button.hidden = false
  const shut = () => {
    box.hidden = true
    try {
      sessionStorage.setItem(key, '1')
    } catch {
      // then it comes back with the next page
    }
  }
  button.addEventListener('click', shut)
  return () => button.removeEventListener('click', shut)
}

export default close
