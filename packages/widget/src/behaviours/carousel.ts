import type { Behaviour } from '../behaviour'

/** Moves a row along: by its buttons, by arrow keys, by itself where that was asked for and nobody minds. Swiping is the browser's. */
const carousel: Behaviour = ({ root, data }) => {
  const box = root.querySelector<HTMLElement>('.k')
  const list = box?.querySelector<HTMLElement>('.l')
  if (!box || !list) return
  const [previous, next, pause] = ['.kp', '.kn', '.ks'].map((one) => box.querySelector<HTMLButtonElement>(one))
  const isRtl = getComputedStyle(list).direction === 'rtl'
  const still = matchMedia('(prefers-reduced-motion: reduce)')
  box.classList.add('on')
  box.classList.toggle('rtl', isRtl)

  /** Px from where the row begins to where a cell does, in reading direction. */
  const ahead = (cell: Element) => {
    const [row, own] = [list.getBoundingClientRect(), cell.getBoundingClientRect()]
    return isRtl ? row.right - own.right : own.left - row.left
  }
  const step = (by: 1 | -1) => {
    const cells = [...list.children]
    const at = cells.findIndex((cell) => ahead(cell) > -4)
    const isEnd = list.scrollWidth - list.clientWidth - Math.abs(list.scrollLeft) < 4
    const isStart = Math.abs(list.scrollLeft) < 4
    const to = by === 1 ? (isEnd ? 0 : at + 1) : isStart ? cells.length - 1 : at - 1
    const cell = cells[Math.max(0, Math.min(cells.length - 1, to))]
    if (cell) list.scrollBy({ left: ahead(cell) * (isRtl ? -1 : 1), behavior: still.matches ? 'instant' : 'smooth' })
  }

  let isPaused = still.matches
  let isMinded = false
  const timer = data.seconds
    ? setInterval(() => !isPaused && !isMinded && !document.hidden && step(1), Number(data.seconds) * 1000)
    : 0
  const say = () => {
    if (!pause) return
    pause.setAttribute('aria-label', pause.dataset[isPaused ? 'resume' : 'pause']!)
    pause.firstElementChild!.textContent = isPaused ? '▷' : '‖'
  }
  say()

  const end = new AbortController()
  const on = (target: EventTarget | null | undefined, type: string, act: (event: Event) => void) =>
    target?.addEventListener(type, act, { signal: end.signal })
  on(previous, 'click', () => step(-1))
  on(next, 'click', () => step(1))
  on(pause, 'click', () => {
    isPaused = !isPaused
    say()
  })
  on(list, 'keydown', (event) => {
    const { key } = event as KeyboardEvent
    if (key !== 'ArrowLeft' && key !== 'ArrowRight') return
    event.preventDefault()
    step((key === 'ArrowRight') !== isRtl ? 1 : -1)
  })
  // Whoever looks closely, or is within it by keyboard, is not moved away from.
  for (const [type, minded] of [
    ['pointerenter', true],
    ['pointerleave', false],
    ['focusin', true],
    ['focusout', false],
  ] as const)
    on(box, type, () => (isMinded = minded))
  return () => {
    end.abort()
    clearInterval(timer)
  }
}

export default carousel
