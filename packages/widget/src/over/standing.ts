import type { OverData } from '@pebblestrand/core/kinds'
import { OVER_MARK } from '@pebblestrand/core/wire'

/** Elements on a stage that have been opened. */
const looked = new WeakSet<HTMLElement>()

/** One widget that stands over the page: how it opens and closes. */
export class Standing {
  private readonly box: HTMLElement
  private from: Element | null = null
  private undo: (() => void)[] = []

  constructor(
    readonly element: HTMLElement,
    root: ParentNode,
    private readonly data: OverData,
    /** A person closed it: by its button, Escape, or a press beside it. */
    closed: () => void,
    /** On the workbench's stage: it takes no focus from whoever works beside it, and does not come anew with each change. */
    private readonly isLookedAt = false,
  ) {
    this.box = root.querySelector<HTMLElement>('.ov')!
    if (!isLookedAt) element.setAttribute(OVER_MARK, 'shut')
    if (!data.modal && !isLookedAt && 'popover' in this.box) this.box.popover = 'manual'
    this.box.addEventListener('cancel', (event) => (event.preventDefault(), closed()))
    this.box.addEventListener('keydown', (event) => {
      if (event.key === 'Escape' && !data.modal) closed()
    })
    // A press beside the box is one on the layer around it.
    if (data.modal) this.box.addEventListener('pointerdown', ({ target }) => target === this.box && closed())
  }

  get isOpen(): boolean {
    return /^(open|still)$/.test(this.element.getAttribute(OVER_MARK) ?? '')
  }

  private lookAt(): void {
    this.box.setAttribute('open', '')
    this.element.setAttribute(OVER_MARK, looked.has(this.element) ? 'still' : 'open')
    looked.add(this.element)
  }

  open(): void {
    const { box, data, element } = this
    if (this.isLookedAt) return this.lookAt()
    this.from = document.activeElement
    element.setAttribute(OVER_MARK, 'open')
    if (data.modal) {
      ;(box as HTMLDialogElement).showModal()
      // What is read first has the focus, and not the button that closes it.
      const first = box.querySelector<HTMLElement>('.h, .tx') ?? box
      first.tabIndex = -1
      first.focus({ preventScroll: true })
      this.undo.push(still())
    } else {
      if (box.popover) box.showPopover()
      // Nothing takes the focus on a page that stays usable: who does not see it is told.
      tell(box.querySelector('.in')?.textContent ?? '')
    }
    if (data.push) this.undo.push(push(data.push, box))
  }

  /** Goes, and gives back what it took. */
  close(): void {
    if (!this.isOpen) return
    this.element.setAttribute(OVER_MARK, 'closing')
    const isStill = matchMedia('(prefers-reduced-motion: reduce)').matches || document.hidden
    if (!this.data.goesIn || isStill) this.end()
    else setTimeout(() => this.isOpen || this.end(), this.data.goesIn)
  }

  /** At once, and however it is. */
  end(): void {
    const { box, element, data, from } = this
    element.setAttribute(OVER_MARK, 'shut')
    if (this.isLookedAt) box.removeAttribute('open')
    else if (data.modal) (box as HTMLDialogElement).close()
    else if (box.popover && box.matches(':popover-open')) box.hidePopover()
    this.undo.splice(0).forEach((undo) => undo())
    if (data.modal && from instanceof HTMLElement && from.isConnected) from.focus({ preventScroll: true })
    this.from = null
  }
}

/** How many hold the page, and what it was like before the first. */
const holding = { count: 0, before: ['', ''] as [string, string] }

/** The page behind does not scroll; its scroll bar stays, so that nothing shifts. Of several at once the last gives it back. */
function still(): () => void {
  const { style } = document.documentElement
  if (holding.count++ === 0) {
    holding.before = [style.overflow, style.scrollbarGutter]
    const hasBar = innerWidth > document.documentElement.clientWidth
    style.overflow = 'hidden'
    if (hasBar) style.scrollbarGutter = 'stable'
  }
  return () => {
    if (--holding.count === 0) [style.overflow, style.scrollbarGutter] = holding.before
  }
}

type Edge = 'top' | 'bottom'
const sides = { top: 'paddingTop', bottom: 'paddingBottom' } as const
/** Bars that room is made for, what the page kept there before the first, and what gives that back. */
const pushed: Record<Edge, { boxes: Set<HTMLElement>; undo: (() => void)[] }> = {
  top: { boxes: new Set(), undo: [] },
  bottom: { boxes: new Set(), undo: [] },
}

/** Sets a style; gives what sets it back. */
function put({ style }: HTMLElement, name: 'top' | 'bottom' | 'paddingTop' | 'paddingBottom', px: number): () => void {
  const before = style[name]
  style[name] = `${px}px`
  return () => void (style[name] = before)
}

/** As much room at an edge as the highest bar there takes. @param moves what the page itself has fixed there makes way too */
function makeRoom(edge: Edge, moves: boolean): void {
  const { boxes, undo } = pushed[edge]
  undo.splice(0).forEach((one) => one())
  const px = Math.max(0, ...[...boxes].map(({ offsetHeight }) => offsetHeight))
  if (!px) return
  undo.push(put(document.body, sides[edge], px + (parseFloat(getComputedStyle(document.body)[sides[edge]]) || 0)))
  if (!moves) return
  for (const one of document.querySelectorAll<HTMLElement>('body>*,body>*>*,header,nav')) {
    const style = getComputedStyle(one)
    // Wide, and where the bar is: the page's own head or foot that stays in sight.
    if (/fixed|sticky/.test(style.position) && one.offsetWidth > innerWidth / 2 && parseFloat(style[edge]) < px)
      undo.push(put(one, edge, px + parseFloat(style[edge])))
  }
}

/**
 * The page makes room for a bar. Below its end that moves nothing that is in sight; all else waits for the visitor's next press or
 * key, so that nothing moves by itself (what follows an input within half a second is no layout shift).
 */
function push(edge: Edge, box: HTMLElement): () => void {
  const wait = new AbortController()
  const { boxes } = pushed[edge]
  boxes.add(box)
  if (edge === 'bottom') makeRoom(edge, false)
  for (const input of ['pointerdown', 'keydown'])
    document.addEventListener(input, () => makeRoom(edge, true), { once: true, capture: true, signal: wait.signal })
  return () => {
    wait.abort()
    boxes.delete(box)
    makeRoom(edge, true)
  }
}

let said: HTMLElement | null = null

/** Said to who does not see it, when they are done with what they hear. */
function tell(text: string): void {
  if (!said) {
    said = document.body.appendChild(document.createElement('div'))
    const root = said.attachShadow({ mode: 'open' })
    said.style.cssText = 'position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%)'
    root.appendChild(document.createElement('p')).setAttribute('role', 'status')
  }
  const line = said.shadowRoot!.querySelector('p')!
  line.textContent = ''
  setTimeout(() => (line.textContent = text.replace(/\s+/g, ' ').trim()), 100)
}
