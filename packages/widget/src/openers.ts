import type { StagePayload } from '@pebblestrand/core/artefacts'
import { OPENS_MARK, pathTo } from '@pebblestrand/core/wire'
import { adopt } from './adopt'
import { mount } from './mount'

/** A dialog in the colours of the page, never wider than a window, its button to close it clear of its content. */
const CSS =
  'dialog{box-sizing:border-box;width:min(720px,100vw - 32px);max-height:min(90dvh,100dvh - 32px);padding:0;border:1px solid;border-radius:8px;overflow:auto;overscroll-behavior:contain}' +
  'dialog::backdrop{background:#0008}' +
  '.top{position:sticky;top:0;z-index:1;display:flex;justify-content:flex-end;height:44px}' +
  'button{width:44px;height:44px;padding:0;border:0;background:inherit;color:inherit;font:24px/1 system-ui,sans-serif;cursor:pointer}' +
  'button:focus-visible{outline:2px solid;outline-offset:-4px}' +
  '.in{padding:0 20px 20px}'

/** Opens widgets of ours where something is pressed that is marked for it; whatever fails, the link leads to the widget's own page. */
export function followOpeners(origin: string): void {
  document.addEventListener('click', (event) => {
    if (event.defaultPrevented || event.button || event.ctrlKey || event.metaKey || event.shiftKey || event.altKey)
      return
    const opener = pressed(event)
    if (!opener) return
    event.preventDefault()
    void open(opener, origin)
  })
  // What is no link and no button is reached and pressed by keys all the same.
  document.addEventListener('keydown', (event) => {
    const opener = pressed(event)
    if (!opener || opener !== event.target || opener.matches('a[href], button') || !/^(Enter| )$/.test(event.key))
      return
    event.preventDefault()
    void open(opener, origin)
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

/** Dialogs that were opened, by what opened them. */
const opened = new WeakMap<HTMLElement, HTMLDialogElement>()

async function open(opener: HTMLElement, origin: string): Promise<void> {
  const id = opener.getAttribute(OPENS_MARK)!
  try {
    const known = opened.get(opener)
    if (known) return known.showModal()
    opener.setAttribute('aria-busy', 'true')
    const answer = await fetch(origin + pathTo('payload', id), { credentials: 'omit' })
    if (!answer.ok) throw new Error(String(answer.status))
    const payload = (await answer.json()) as StagePayload
    const { dialog, inner } = dialogOf(payload)
    mount(inner, payload, origin, id)
    opened.set(opener, dialog)
    dialog.showModal()
  } catch {
    // No network, blocked by the site's policy, or retired: its own page says what there is to say.
    location.assign(origin + pathTo('link', id))
  } finally {
    opener.removeAttribute('aria-busy')
  }
}

function dialogOf({ name, closes = 'Close' }: StagePayload) {
  const host = document.body.appendChild(document.createElement('div'))
  const root = host.attachShadow({ mode: 'open' })
  const dialog = root.appendChild(document.createElement('dialog'))
  dialog.setAttribute('aria-label', name)
  const page = getComputedStyle(document.body)
  dialog.style.background = /^(transparent|rgba\(.*, 0\))$/.test(page.backgroundColor) ? 'Canvas' : page.backgroundColor
  dialog.style.color = page.color
  const top = dialog.appendChild(document.createElement('div'))
  top.className = 'top'
  const button = top.appendChild(document.createElement('button'))
  button.type = 'button'
  button.setAttribute('aria-label', closes)
  button.textContent = '×'
  button.addEventListener('click', () => dialog.close())
  // A press beside it: on the dialog itself, which its content covers.
  dialog.addEventListener('pointerdown', (event) => {
    const { left, right, top: above, bottom } = dialog.getBoundingClientRect()
    const { clientX: x, clientY: y } = event
    if (event.target === dialog && (x < left || x > right || y < above || y > bottom)) dialog.close()
  })
  const content = dialog.appendChild(document.createElement('div'))
  content.className = 'in'
  const inner = content.appendChild(document.createElement('div'))
  adopt(root, CSS)
  return { dialog, inner }
}
