import { mount } from './mount'

/** Finds our elements on the page and fills each once. Whatever fails, the page does not notice: the link in it stays. */
export function boot(origin: string): void {
  const fill = () =>
    document
      .querySelectorAll<HTMLElement>('[data-pebblestrand]:not([data-pebblestrand-seen])')
      .forEach((element) => void show(element, origin))
  fill()
  if (document.readyState === 'loading') document.addEventListener('DOMContentLoaded', fill)
}

async function show(element: HTMLElement, origin: string): Promise<void> {
  element.dataset.pebblestrandSeen = ''
  try {
    const answer = await fetch(`${origin}/p/${encodeURIComponent(element.dataset.pebblestrand!)}.json`, {
      credentials: 'omit',
    })
    if (answer.status === 410)
      element.remove() // retired
    else if (answer.ok) mount(element, await answer.json(), origin)
  } catch {
    // no network, or blocked by the site's policy
  }
}
