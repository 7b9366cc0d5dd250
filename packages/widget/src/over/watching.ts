import { NOTHING_DONE, type Progress, type Trigger } from '@pebblestrand/core/presence/deciding'

/** Px within so many milliseconds upwards: a quick scroll back, as before leaving a page on a phone. Common practice in the trade. */
const QUICK = { px: 400, ms: 350 }

/** Watches what a visitor does on the page, as far as some trigger asks for it. */
export class Watching {
  private began = Date.now()
  private last = Date.now()
  private path = location.pathname
  private scrolled = 0
  private hasDone = false
  private isLeaving = false
  /** Ids of what scripts of the site have asked for. */
  readonly called = new Set<string>()
  private readonly clicked = new Set<string>()
  private readonly reached = new Set<string>()
  private readonly selectors = new Set<string>()
  private readonly sights: IntersectionObserver
  /** Ids of what was shown on this page. */
  shown: string[] = []
  private marks: { y: number; at: number }[] = []

  /** @param changed something was done that may set something off */
  constructor(private readonly changed: () => void) {
    const done = { passive: true, capture: true }
    const active = () => ((this.last = Date.now()), (this.hasDone = true))
    for (const name of ['pointerdown', 'keydown', 'wheel', 'touchmove', 'pointermove'])
      document.addEventListener(name, active, done)
    addEventListener('scroll', () => (active(), this.scroll()), done)
    document.addEventListener('click', (event) => this.click(event), true)
    document.documentElement.addEventListener('mouseleave', ({ clientY }) => clientY <= 0 && this.leave())
    document.addEventListener('visibilitychange', () => !document.hidden && this.isTouch && this.leave())
    addEventListener('hashchange', changed)
    this.sights = new IntersectionObserver((entries) => {
      for (const { isIntersecting, target } of entries)
        if (isIntersecting) for (const one of this.selectors) if (matches(target, one)) this.reached.add(one)
      changed()
    })
  }

  /** What a trigger asks for beside the usual. */
  follow(triggers: readonly Trigger[]): void {
    for (const trigger of triggers) if ('selector' in trigger) this.selectors.add(trigger.selector)
    this.look()
  }

  /** Elements that are waited for may come later. */
  look(): void {
    for (const one of this.selectors) for (const element of all(one)) this.sights.observe(element)
  }

  get progress(): Progress {
    if (location.pathname !== this.path) this.arrive()
    const now = Date.now()
    return {
      ...NOTHING_DONE,
      seconds: (now - this.began) / 1000,
      idleSeconds: (now - this.last) / 1000,
      // Of a page that has no more than the window shows, all is in sight once it is there.
      scrolled: document.readyState === 'complete' && roomBelow() <= 0 ? 100 : this.scrolled,
      reached: [...this.reached],
      clicked: [...this.clicked],
      called: [...this.called],
      isLeaving: this.isLeaving,
      fragment: decoded(location.hash.slice(1)),
      hasDone: this.hasDone,
    }
  }

  /** What was asked for is heard once, and so is the wish to leave. */
  heard(): void {
    this.clicked.clear()
    this.called.clear()
    this.isLeaving = false
  }

  /** On another page that came without loading everything begins anew. */
  private arrive(): void {
    this.path = location.pathname
    this.began = this.last = Date.now()
    this.scrolled = 0
    this.hasDone = false
    this.shown = []
    this.reached.clear()
    this.heard()
    this.look()
  }

  private readonly isTouch = matchMedia('(pointer: coarse)').matches

  private leave(): void {
    this.isLeaving = true
    this.changed()
  }

  private scroll(): void {
    const room = roomBelow()
    this.scrolled = Math.max(this.scrolled, room > 0 ? Math.min(100, (scrollY * 100) / room) : 0)
    const now = Date.now()
    this.marks = [...this.marks.filter(({ at }) => now - at < QUICK.ms), { y: scrollY, at: now }]
    if (this.isTouch && Math.max(...this.marks.map(({ y }) => y)) - scrollY > QUICK.px) this.leave()
    else this.changed()
  }

  private click({ target }: Event): void {
    if (!(target instanceof Element)) return
    for (const one of this.selectors) {
      try {
        if (target.closest(one)) this.clicked.add(one)
      } catch {
        // a selector that this browser does not know
      }
    }
    if (this.clicked.size) this.changed()
  }
}

/** Px that the page can be scrolled. */
const roomBelow = (): number => {
  const { scrollHeight, clientHeight } = document.documentElement
  return scrollHeight - clientHeight
}

const matches = (element: Element, selector: string): boolean => {
  try {
    return element.matches(selector)
  } catch {
    return false
  }
}
const all = (selector: string): Iterable<Element> => {
  try {
    return document.querySelectorAll(selector)
  } catch {
    return []
  }
}
const decoded = (text: string): string => {
  try {
    return decodeURIComponent(text)
  } catch {
    return text
  }
}
