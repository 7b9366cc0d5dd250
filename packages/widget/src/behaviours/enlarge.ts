import type { Enlarged } from '@pebblestrand/core/kinds'
import type { Behaviour } from '../behaviour'

interface Data {
  items: Enlarged[]
  words: { close: string; before: string; after: string; original: string; counter: string }
}

/** Enlarges what is pressed, in a dialog over the page: closed by Escape, its button or a press beside; on by keys, buttons and swipe. */
const enlarge: Behaviour = ({ root, element, data }) => {
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
