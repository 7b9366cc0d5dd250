import type { StagePayload } from '@pebblestrand/core/artefacts'
import { MARK, pathTo } from '@pebblestrand/core/wire'
import { adopt } from '../adopt'
import type { mount } from '../mount'

/** What was pressed, of which install, and what shows a payload. */
interface Press {
  /** Null where a script of the site asks. */
  opener: HTMLElement | null
  id: string
  origin: string
  mount: typeof mount
}
export type OpensDialog = (press: Press) => Promise<void>

/** A dialog in the colours of the page, never wider than a window, its button to close it clear of its content. */
const CSS =
  'dialog{box-sizing:border-box;width:min(720px,100vw - 32px);max-height:min(90dvh,100dvh - 32px);padding:0;border:1px solid;border-radius:8px;overflow:auto;overscroll-behavior:contain}' +
  'dialog::backdrop{background:#0008}' +
  '.top{position:sticky;top:0;z-index:1;display:flex;justify-content:flex-end;height:44px}' +
  'button{width:44px;height:44px;padding:0;border:0;background:inherit;color:inherit;font:24px/1 system-ui,sans-serif;cursor:pointer}' +
  'button:focus-visible{outline:2px solid;outline-offset:-4px}' +
  '.in{padding:0 20px 20px}'

/** Dialogs that were opened, by what opened them. */
const opened = new WeakMap<HTMLElement, HTMLDialogElement>()

/** No behaviour of a widget, but what brings one where something is pressed. Fails where its content does not come. */
const openDialog: OpensDialog = async ({ opener, id, origin, mount }) => {
  const known = opener && opened.get(opener)
  if (known) return known.showModal()
  opener?.setAttribute('aria-busy', 'true')
  try {
    const answer = await fetch(origin + pathTo('payload', id), { credentials: 'omit' })
    if (!answer.ok) throw new Error(String(answer.status))
    const payload = (await answer.json()) as StagePayload
    if (payload.data.over) return await openOver(opener ? 'openSoon' : 'call', id, payload, origin, mount)
    const { dialog, inner } = dialogOf(payload)
    mount(inner, payload, origin, id)
    if (opener) opened.set(opener, dialog)
    dialog.showModal()
  } finally {
    opener?.removeAttribute('aria-busy')
  }
}

/** What over.ts gives beside its behaviour. */
interface Over {
  openSoon(id: string): void
  call(id: string): void
}

/** What stands over the page by itself opens itself: where it is not on this page yet, it is put there. */
async function openOver(
  how: 'openSoon' | 'call',
  id: string,
  payload: StagePayload,
  origin: string,
  show: typeof mount,
): Promise<void> {
  const over = (await import(/* @vite-ignore */ origin + pathTo('behaviour', 'over'))) as Over
  if (!document.querySelector(`[${MARK}="${globalThis.CSS.escape(id)}"]`)) {
    const element = document.body.appendChild(document.createElement('div'))
    element.setAttribute(MARK, id)
    element.setAttribute(`${MARK}-seen`, '')
    show(element, payload, origin, id)
  }
  over[how](id)
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

export default openDialog
