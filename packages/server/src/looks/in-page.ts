// Functions that run in the page that is looked at: each stands alone, nothing outside it is there.

/** Set up before anything of the page runs: what is to be known of it later is written down as it happens. */
export function watch(mark: string): void {
  const seen = {
    violations: [] as { directive: string; blocked: string }[],
    shifts: [] as { value: number; nodes: Node[] }[],
    ready: new Map<Element, number>(),
  }
  Object.defineProperty(window, '__pebblestrandSeen', { value: seen, enumerable: false })
  document.addEventListener('securitypolicyviolation', (event) => {
    if (seen.violations.length < 50 && event.disposition === 'enforce')
      seen.violations.push({ directive: event.effectiveDirective, blocked: event.blockedURI })
  })
  try {
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries() as unknown as { value: number; sources?: { node?: Node }[] }[])
        if (seen.shifts.length < 200)
          seen.shifts.push({ value: entry.value, nodes: (entry.sources ?? []).flatMap(({ node }) => node ?? []) })
    }).observe({ type: 'layout-shift', buffered: true })
  } catch {
    // a browser without it
  }
  new MutationObserver((changes) => {
    for (const { target } of changes)
      if (target instanceof Element && !seen.ready.has(target)) seen.ready.set(target, performance.now())
  }).observe(document, { subtree: true, attributes: true, attributeFilter: [`${mark}-release`] })
}

/** Whether every element of ours on the page has its content. */
export function allReady(mark: string): boolean {
  const own = [...document.querySelectorAll(`[${mark}]`)]
  return own.every((element) => element.hasAttribute(`${mark}-release`))
}

/** Whether every picture that a screenshot would show is there, or will not come. @param tallest px of the page that are shown */
export function picturesThere([mark, tallest]: readonly [string, number]): boolean {
  const ours = [...document.querySelectorAll(`[${mark}]`)].flatMap((element) => element.shadowRoot ?? [])
  const pictures = [document, ...ours].flatMap((root) => [...root.querySelectorAll('img')])
  return pictures.every((picture) => {
    const [box] = picture.getClientRects()
    return picture.complete || !box || box.top + scrollY > tallest
  })
}

/** Brings what is put off until it is scrolled to. */
export async function scrollThrough(): Promise<void> {
  const step = Math.max(300, innerHeight * 0.8)
  const end = Math.min(document.documentElement.scrollHeight, 20_000)
  for (let at = 0; at < end; at += step) {
    scrollTo(0, at)
    // Observers hear of it with the next frame; a page that draws none is not waited for.
    await new Promise((resolve) => {
      requestAnimationFrame(() => setTimeout(resolve, 0))
      setTimeout(resolve, 40)
    })
  }
  scrollTo(0, 0)
  await new Promise((resolve) => requestAnimationFrame(() => resolve(null)))
}

/** Whether anything of ours is in a frame, or a frame that may hold some. @param paths what those of ours begin with */
export function holdsOurs([mark, opensMark, paths]: readonly [string, string, readonly string[]]): boolean {
  if (document.querySelector(`[${mark}], [${opensMark}], iframe, object, embed`)) return true
  return [...document.images].some(({ src }) => paths.some((path) => src.includes(path)))
}

/**
 * What of ours is on the page and how it lies. Paths: what those of our frames and pictures begin with. Holders: frames of the
 * page's own in which something of ours may stand; how they lie is told beside.
 */
export function measure({
  mark,
  opensMark,
  overMark,
  framePaths,
  picturePaths,
  origin,
  holders,
}: {
  mark: string
  opensMark: string
  overMark: string
  framePaths: string[]
  picturePaths: string[]
  origin: string
  holders: (Node | null)[]
}) {
  const noted = (
    window as unknown as {
      __pebblestrandSeen?: {
        violations: { directive: string; blocked: string }[]
        shifts: { value: number; nodes: Node[] }[]
        ready: Map<Element, number>
      }
    }
  ).__pebblestrandSeen
  const root = document.documentElement
  const addressIn = (element: Element): URL | null => {
    const address = element.getAttribute(element.tagName === 'OBJECT' ? 'data' : 'src') ?? ''
    try {
      return new URL(address, location.href)
    } catch {
      return null
    }
  }
  /** What an element is to us, and of which install; null where it is nothing of ours. */
  const ours = (
    element: Element,
  ): { method: 'inline' | 'frame' | 'opener' | 'picture'; id: string; address: string | null } | null => {
    const id = element.getAttribute(mark)
    if (id !== null) return { method: 'inline', id, address: null }
    const opens = element.getAttribute(opensMark)
    if (opens !== null) return { method: 'opener', id: opens, address: null }
    const url = addressIn(element)
    const isPicture = element.tagName === 'IMG'
    const path = url && (isPicture ? picturePaths : framePaths).find((one) => url.pathname.startsWith(one))
    if (!path) return null
    const name = decodeURIComponent(url.pathname.slice(path.length))
    return isPicture
      ? { method: 'picture', id: name.replace(/\.\w+$/, ''), address: null }
      : { method: 'frame', id: name, address: url.href }
  }
  const named = (element: Element) => {
    const words = (element.textContent ?? '').replace(/\s+/g, ' ').trim().slice(0, 40)
    const id = element.id ? ` “${element.id.slice(0, 40)}”` : ''
    return `a ${element.tagName.toLowerCase()} element${id}${words ? ` (${words})` : ''}`
  }

  /** What of a widget stands over the page: then its element has no size of its own. */
  const floatingPart = (element: Element): Element | null =>
    [...(element.shadowRoot?.children ?? [])].find((child) => getComputedStyle(child).position === 'fixed') ?? null

  const unseen = (
    element: HTMLElement,
  ): { why: 'not-displayed' | 'no-size' | 'covered' | 'clipped' | null; by: string | null } => {
    for (let at: Element | null = element; at; at = at.parentElement) {
      const style = getComputedStyle(at)
      if (style.display === 'none') return { why: 'not-displayed', by: at === element ? null : named(at) }
      if (Number(style.opacity) < 0.05) return { why: 'not-displayed', by: named(at) }
    }
    if (getComputedStyle(element).visibility !== 'visible') return { why: 'not-displayed', by: null }
    element.scrollIntoView({ block: 'center', inline: 'nearest', behavior: 'instant' as ScrollBehavior })
    const part = floatingPart(element)
    const box = (part ?? element).getBoundingClientRect()
    if (part && getComputedStyle(part).display === 'none') return { why: 'not-displayed', by: null }
    if (box.width < 2 || box.height < 2) return { why: 'no-size', by: null }
    let [left, top, right, bottom] = [box.left, box.top, box.right, box.bottom]
    for (
      let at = part ? null : element.parentElement;
      at && at !== document.body && at !== root;
      at = at.parentElement
    ) {
      const style = getComputedStyle(at)
      if (!/hidden|clip|auto|scroll/.test(style.overflowX + style.overflowY)) continue
      const around = at.getBoundingClientRect()
      left = Math.max(left, around.left)
      right = Math.min(right, around.right)
      if (/hidden|clip/.test(style.overflowY)) {
        top = Math.max(top, around.top)
        bottom = Math.min(bottom, around.bottom)
      }
    }
    const shown = Math.max(0, right - left) * Math.max(0, bottom - top)
    if (shown < box.width * box.height * 0.4) return { why: 'clipped', by: null }
    let over: Element | null = null
    for (const [dx, dy] of [
      [0.5, 0.5],
      [0.2, 0.2],
      [0.8, 0.2],
      [0.2, 0.8],
      [0.8, 0.8],
    ] as const) {
      const [x, y] = [
        left + (right - left) * dx,
        Math.max(0, top) + (Math.min(innerHeight, bottom) - Math.max(0, top)) * dy,
      ]
      if (x < 0 || y < 0 || x >= innerWidth || y >= innerHeight) continue
      const there = document.elementFromPoint(x, y)
      if (!there || there === element || element.contains(there) || there.contains(element))
        return { why: null, by: null }
      over = there
    }
    return over ? { why: 'covered', by: named(over) } : { why: null, by: null }
  }

  /** Which of two columns it is in: the nearest level at which something with more words lies beside it. */
  const beside = (element: Element): 'narrower' | 'wider' | null => {
    for (let at: Element = element; at.parentElement && at !== document.body; at = at.parentElement) {
      const own = at.getBoundingClientRect()
      if (own.width < 40 || own.height < 20) continue
      for (const other of at.parentElement.children) {
        if (other === at) continue
        const box = other.getBoundingClientRect()
        if (box.width < 40 || box.height < 40) continue
        const together = Math.min(own.bottom, box.bottom) - Math.max(own.top, box.top)
        const apart = box.left >= own.right - 2 || box.right <= own.left + 2
        if (!apart || together < Math.min(own.height, box.height) * 0.5) continue
        if (box.width >= own.width * 1.3 && box.width > innerWidth * 0.3 && (other.textContent?.length ?? 0) > 80)
          return 'narrower'
        if (own.width >= box.width * 1.3 && own.width > innerWidth * 0.3) return 'wider'
      }
    }
    return null
  }

  /** Boxes of what an element stands in, from the nearest outwards. */
  const boxesAround = (element: Element) => {
    const boxes = []
    for (let at = element.parentElement; at && at !== document.body && boxes.length < 16; at = at.parentElement) {
      const { left, top, width, height } = at.getBoundingClientRect()
      const style = getComputedStyle(at)
      const edges = [style.paddingLeft, style.paddingRight, style.borderLeftWidth, style.borderRightWidth]
      boxes.push({
        content: Math.round(width - edges.reduce((sum, px) => sum + (parseFloat(px) || 0), 0)),
        x: Math.round(left + scrollX),
        y: Math.round(top + scrollY),
        width: Math.round(width),
        height: Math.round(height),
      })
    }
    return boxes
  }

  /** Px that what an element stands in leaves to it. */
  const roomIn = ({ parentElement: around }: Element): number | null => {
    if (!around) return null
    const style = getComputedStyle(around)
    const px = (value: string) => parseFloat(value) || 0
    const [left, right] = [
      px(style.paddingLeft) + px(style.borderLeftWidth),
      px(style.paddingRight) + px(style.borderRightWidth),
    ]
    return Math.round(around.getBoundingClientRect().width - left - right)
  }

  const sidewaysNow = () => (document.scrollingElement ?? root).scrollWidth > innerWidth + 1
  const sideways = sidewaysNow()
  const elements = [
    ...document.querySelectorAll<HTMLElement>(`[${mark}], [${opensMark}], iframe, object, embed, img`),
  ].filter((element) => ours(element) !== null)
  let sidewaysByUs = false
  if (sideways && elements.length) {
    const before = elements.map((element) => element.style.display)
    for (const element of elements) element.style.display = 'none'
    sidewaysByUs = !sidewaysNow()
    elements.forEach((element, i) => (element.style.display = before[i]!))
  }

  const widgets = elements.slice(0, 100).map((element) => {
    const { method, id, address } = ours(element)!
    const isInline = method === 'inline'
    const image = method === 'picture' ? (element as HTMLImageElement) : null
    const inner: ParentNode = element.shadowRoot ?? element
    const release = element.getAttribute(`${mark}-release`)
    // What stands over the page is tried out by itself: it is not meant to be seen yet.
    const isOver = element.hasAttribute(overMark)
    const { why, by } = isOver ? { why: null, by: null } : unseen(element)
    const box = (floatingPart(element) ?? element).getBoundingClientRect()
    const scroll = { x: scrollX, y: scrollY }
    // What an optimiser kept of it as it once was has no shadow root any more.
    const shown = element.shadowRoot ?? (release === null ? null : element)
    const overflows =
      Boolean(
        shown &&
        [...shown.children].some((child) => child.getBoundingClientRect().right > box.right + 2 && box.width > 0),
      ) || element.scrollWidth > element.clientWidth + 2
    const parent = element.parentElement?.getBoundingClientRect()
    return {
      id,
      method,
      address,
      // Our script says of what it opens; a picture is there or not.
      ready: isInline
        ? release !== null
        : image
          ? image.complete && image.naturalWidth > 0
          : method === 'opener' && element.hasAttribute('aria-haspopup'),
      readyMs: noted?.ready.get(element) ?? null,
      release: release === null ? null : Number(release),
      lists: shown ? shown.querySelectorAll('ul, ol, [role=list]').length : 0,
      items: shown ? shown.querySelectorAll('li, [role=listitem], article').length : 0,
      letters: shown
        ? [...shown.children]
            .filter((child) => child.tagName !== 'STYLE')
            .map((child) => child.textContent ?? '')
            .join('')
            .trim().length + shown.querySelectorAll('img, svg, picture').length
        : method === 'opener' || method === 'picture'
          ? 1
          : 0,
      box: {
        x: Math.round(box.left + scroll.x),
        y: Math.round(box.top + scroll.y),
        width: Math.round(box.width),
        height: Math.round(box.height),
      },
      unseen: why,
      coveredBy: by,
      overflows:
        (overflows && !isOver) ||
        Boolean(parent && parent.width > 0 && box.width > parent.width + 2 && box.right > parent.right + 2),
      beside: beside(element),
      room: roomIn(element),
      around: boxesAround(element),
      shift: (noted?.shifts ?? [])
        .filter(({ nodes }) => nodes.some((node) => node === element || element.contains(node)))
        .reduce((sum, { value }) => sum + value, 0),
      links: isInline
        ? [...inner.querySelectorAll<HTMLAnchorElement>('a[href]')]
            .map((link) => link.href)
            .filter((href) => /^https?:/.test(href))
            .slice(0, 20)
        : [],
    }
  })
  const held = holders.map((holder) => {
    if (!(holder instanceof HTMLElement)) return null
    const { why, by } = unseen(holder)
    const box = holder.getBoundingClientRect()
    return {
      x: Math.round(box.left + scrollX + holder.clientLeft),
      y: Math.round(box.top + scrollY + holder.clientTop),
      width: holder.clientWidth,
      height: holder.clientHeight,
      unseen: why,
      coveredBy: by,
      beside: beside(holder),
      room: roomIn(holder),
      around: boxesAround(holder),
    }
  })
  scrollTo(0, 0)

  return {
    held,
    height: root.scrollHeight,
    sideways,
    sidewaysByUs,
    widgets,
    violations: (noted?.violations ?? []).filter(({ blocked }) => blocked.startsWith(origin)),
  }
}

/** In a frame of ours: what it shows. */
export function measureFrame() {
  const body = document.body
  return {
    ready: Boolean(body && (body.textContent ?? '').trim().length),
    lists: document.querySelectorAll('ul, ol, [role=list]').length,
    items: document.querySelectorAll('li, [role=listitem], article').length,
    letters: (body?.textContent ?? '').trim().length + document.querySelectorAll('img, svg').length,
    release: Number(
      document.querySelector('[data-pebblestrand-release]')?.getAttribute('data-pebblestrand-release') ?? NaN,
    ),
    links: [...document.querySelectorAll<HTMLAnchorElement>('a[href]')]
      .map((link) => link.href)
      .filter((href) => /^https?:/.test(href))
      .slice(0, 20),
    overflows: document.documentElement.scrollWidth > innerWidth + 2,
  }
}

/** Nothing over the page appears by itself in this tab, or only one. */
export function hold([name, id]: readonly [string, string]) {
  try {
    sessionStorage.setItem(name, id)
  } catch {
    // a page without storage holds nothing back
  }
}

/** What a visitor's browser remembers when it comes: once for a tab, so that what is remembered meanwhile stays. */
export function remember([name, memory, tab]: readonly [string, string | null, string]) {
  try {
    const done = `pebblestrand-tried ${tab}`
    if (sessionStorage.getItem(done)) return
    sessionStorage.setItem(done, '1')
    if (memory === null) localStorage.removeItem(name)
    else localStorage.setItem(name, memory)
  } catch {
    // a page without storage remembers nothing
  }
}
