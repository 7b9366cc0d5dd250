import type { Enlarged } from '@pebblestrand/core/kinds'
import type { Behaviour } from '../behaviour'

interface Data {
  items: Enlarged[]
  words: { close: string; before: string; after: string; original: string; counter: string }
}

const CSS = `.en{position:fixed;inset:0;box-sizing:border-box;width:100vw;height:100vh;height:100dvh;max-width:none;max-height:none;margin:0;padding:0;border:0;background:#14181bf2;color:#fff;font:16px/1.45 system-ui,sans-serif;overscroll-behavior:contain}.en::backdrop{background:none}.en-in{display:grid;grid-template-rows:auto minmax(0,1fr) auto;height:100%;gap:8px;padding:max(10px,env(safe-area-inset-top)) max(10px,env(safe-area-inset-right)) max(10px,env(safe-area-inset-bottom)) max(10px,env(safe-area-inset-left));box-sizing:border-box}.en-top{display:flex;align-items:center;justify-content:space-between}.en-st{position:relative;display:grid;place-items:center;min-height:0;min-width:0;overflow:hidden;touch-action:pan-y pinch-zoom}.en-st img{max-width:100%;max-height:100%;object-fit:contain;display:block}.en-st iframe{width:min(100%,calc((100dvh - 200px)*16/9));aspect-ratio:16/9;border:0;background:#000}.en button{min-width:44px;min-height:44px;padding:0 10px;border:1px solid #fff8;border-radius:6px;background:#14181bcc;color:#fff;font:inherit;font-size:20px;line-height:1;cursor:pointer}.en button:hover{border-color:#fff}.en :focus-visible{outline:2px solid #fff;outline-offset:2px}.en-b,.en-f{position:absolute;top:50%;margin-top:-22px}.en-b{left:0}.en-f{right:0}.en-t{max-width:70ch;max-height:24vh;overflow:auto;margin:0 auto;text-align:center;overflow-wrap:anywhere}.en-t p{margin:0 0 4px;white-space:pre-line}.en-t a{color:#fff}.en-n{font-size:13.5px;opacity:.85}`

/** Enlarges what is pressed, in a dialog over the page: closed by Escape, its button or a press beside; on by keys, buttons and swipe. */
const enlarge: Behaviour = ({ root, element, data, addStyle }) => {
  const { items: first, words } = (data.enlarge ?? { items: [], words: {} }) as Data
  const items = [...first]
  let dialog: HTMLDialogElement | null = null
  let [at, picture] = [0, 0]
  let from: HTMLElement | null = null
  const end = new AbortController()
  const { signal } = end

  const made = (name: string, className: string, text = '') => {
    const one = document.createElement(name)
    one.className = className
    one.textContent = text
    return one
  }
  const button = (className: string, label: string, sign: string, act: () => void) => {
    const one = made('button', className, sign) as HTMLButtonElement
    one.type = 'button'
    one.setAttribute('aria-label', label)
    one.addEventListener('click', act)
    return one
  }
  const counter = made('span', 'en-n')
  counter.setAttribute('aria-live', 'polite')
  const stage = made('div', 'en-st')
  const said = made('div', 'en-t')

  /** Only those that are enlarged are gone through; each picture of one counts. */
  const frames = () => items.flatMap((item, one) => item.pictures.map((_, which) => [one, which] as const))
  const number = () => frames().findIndex(([one, which]) => one === at && which === picture)
  const go = (by: 1 | -1) => {
    const all = frames()
    const [one, which] = all[(number() + by + all.length) % all.length]!
    ;[at, picture] = [one, which]
    draw()
  }

  function draw(): void {
    const item = items[at]
    const shown = item?.pictures[picture]
    if (!item || !shown) return
    stage.replaceChildren()
    if (item.player) {
      const frame = document.createElement('iframe')
      frame.src = item.player.src
      frame.title = item.caption
      frame.allow = 'fullscreen; autoplay'
      frame.allowFullscreen = true
      stage.append(frame)
    } else stage.append(imageOf(shown))
    const all = frames()
    if (all.length > 1)
      stage.append(
        button('en-b', words.before, '‹', () => go(-1)),
        button('en-f', words.after, '›', () => go(1)),
      )
    counter.textContent =
      all.length > 1 ? words.counter.replace('{n}', String(number() + 1)).replace('{all}', String(all.length)) : ''
    said.replaceChildren()
    if (item.caption) {
      const caption = made('p', '', item.caption)
      caption.dir = 'auto'
      if (item.lang) caption.lang = item.lang
      said.append(caption)
    }
    if (item.player?.note) said.append(made('p', 'en-n', item.player.note))
    if (item.link) {
      const link = made('a', '', words.original) as HTMLAnchorElement
      link.href = item.link
      link.target = '_blank'
      link.rel = 'noopener'
      said.append(link)
    }
    // The next one is there before it is asked for.
    const [one, which] = all[(number() + 1) % all.length]!
    if (all.length > 1 && !items[one]!.player) imageOf(items[one]!.pictures[which]!)
  }
  const imageOf = ({ src, width, height, alt }: Enlarged['pictures'][number]) => {
    const image = document.createElement('img')
    if (width && height) [image.width, image.height] = [width, height]
    image.alt = alt
    image.src = src
    return image
  }

  function build(): HTMLDialogElement {
    addStyle(CSS)
    const one = document.createElement('dialog')
    one.className = 'en'
    const top = made('div', 'en-top')
    top.append(
      counter,
      button('en-x', words.close, '×', () => one.close()),
    )
    const inner = made('div', 'en-in')
    inner.append(top, stage, said)
    one.append(inner)
    one.addEventListener('keydown', ({ key }) => {
      const rtl = getComputedStyle(element).direction === 'rtl'
      if (key === 'ArrowRight') go(rtl ? -1 : 1)
      if (key === 'ArrowLeft') go(rtl ? 1 : -1)
    })
    one.addEventListener('click', ({ target }) => {
      if (target === stage || target === inner || target === one) one.close()
    })
    one.addEventListener('close', () => {
      stage.replaceChildren() // a film that plays stops
      from?.focus({ preventScroll: true })
    })
    swiped(stage, (by) => go(by))
    ;(root instanceof ShadowRoot ? root : element).append(one)
    return one
  }

  root.addEventListener(
    'click',
    (event) => {
      const opener = (event.target as Element).closest<HTMLElement>('[data-en]')
      const { button: pressed, metaKey, ctrlKey, shiftKey } = event as MouseEvent
      // Whoever asks the browser for another tab gets the original there.
      if (!opener || pressed || metaKey || ctrlKey || shiftKey) return
      const which = Number(opener.dataset.en)
      if (!items[which]) return
      event.preventDefault()
      ;[at, picture, from] = [which, 0, opener]
      dialog ??= build()
      dialog.setAttribute('aria-label', items[which].caption.slice(0, 80) || words.close)
      draw()
      dialog.showModal()
      dialog.querySelector<HTMLElement>('.en-x')!.focus()
    },
    { signal },
  )
  element.addEventListener(
    'pebblestrand-more',
    (event) => void items.push(...(((event as CustomEvent).detail as { items?: Enlarged[] }).items ?? [])),
    { signal },
  )
  return () => {
    end.abort()
    dialog?.remove()
  }
}

/** A finger that goes sideways, more so than up or down. */
function swiped(target: HTMLElement, act: (by: 1 | -1) => void): void {
  let from: { x: number; y: number } | null = null
  target.addEventListener('pointerdown', ({ pointerType, clientX, clientY }) => {
    from = pointerType === 'mouse' ? null : { x: clientX, y: clientY }
  })
  target.addEventListener('pointerup', ({ clientX, clientY }) => {
    if (!from) return
    const [dx, dy] = [clientX - from.x, clientY - from.y]
    from = null
    if (Math.abs(dx) > 40 && Math.abs(dx) > 2 * Math.abs(dy)) act(dx < 0 ? 1 : -1)
  })
}

export default enlarge
