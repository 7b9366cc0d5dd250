import type { StagePayload } from '@pebblestrand/core/artefacts'
import type { SiteLook } from '@pebblestrand/core/look'
import { ROOM_ID } from '@pebblestrand/core/verify/room-marks'
import { OVER_MARK } from '@pebblestrand/core/wire'
import { settle } from './stage/settle'

// The script of the page inside the workbench's stage, beside the one that client sites load: it is told what to mount and what
// look the site around it has, and tells its height back. Its origin is opaque (sandboxed), so nothing that a feed or a page
// brings can reach the application.

type Asked =
  | { pebblestrand: 'show'; payload: StagePayload; look: SiteLook | null; padding: number; reserved: string }
  | { pebblestrand: 'replay'; ms: number }

/** Ms that something over the page stays away before it comes again. */
const AWAY = 600

const { dataset } = document.currentScript as HTMLScriptElement
const origin = new URL(dataset.origin!, location.href).origin
const isInPage = dataset.inPage === '1'
// What a page's author wrote may have taken it for text.
const room =
  document.getElementById(ROOM_ID) ??
  document.body.appendChild(Object.assign(document.createElement('div'), { id: ROOM_ID }))

const faces = new Set<string>()
function wear(look: SiteLook | null): void {
  for (const { family, src, weight } of look?.fontFaces ?? []) {
    if (faces.has(src)) continue
    const face = new FontFace(family, `url(${JSON.stringify(src)})`, { weight })
    faces.add(src)
    document.fonts.add(face)
    face.load().then(tell, () => faces.delete(src))
  }
  if (isInPage) return
  Object.assign(document.body.style, {
    fontFamily: look?.bodyFont ?? 'system-ui, sans-serif',
    color: look?.text ?? '#1d2b34',
    background: look?.background ?? '#fff',
    lineHeight: 1.5,
  })
}

/** All but the widget steps back. */
function dim(): void {
  for (let at: Element = room; at !== document.body && at.parentElement; at = at.parentElement)
    for (const other of at.parentElement.children)
      if (other instanceof HTMLElement && other !== at && other.tagName !== 'STYLE') {
        other.style.opacity = '.35'
        other.style.filter = 'grayscale(.5)'
        other.inert = true
      }
}

/** Within this page only: scrollIntoView would scroll the workbench as well. */
function bringIntoSight(): void {
  const { top, height } = room.getBoundingClientRect()
  scrollTo({ top: top + scrollY - Math.max(24, (innerHeight - height) / 2), behavior: 'instant' })
}

let playing: ReturnType<typeof setTimeout> | undefined
/** What stands over the page goes as it goes for a visitor, and comes again. @param ms that it takes to go */
function replay(ms: number): void {
  clearTimeout(playing)
  const be = (state: string) => room.setAttribute(OVER_MARK, state)
  be('closing')
  playing = setTimeout(() => {
    be('shut')
    playing = setTimeout(() => be('open'), AWAY)
  }, ms)
}

function tell(): void {
  const { top, width } = room.getBoundingClientRect()
  const whole = (isInPage ? document.documentElement : document.body).getBoundingClientRect()
  parent.postMessage(
    {
      pebblestrand: 'height',
      height: Math.ceil(whole.height),
      top: Math.round(top + scrollY),
      width: Math.round(width),
    },
    '*',
  )
}

let isShown = false
function show({ payload, look, padding, reserved }: Extract<Asked, { pebblestrand: 'show' }>): void {
  clearTimeout(playing)
  wear(look)
  if (!isInPage) {
    document.body.style.padding = `${padding}px`
    // Something over a page wants one below it: lines as of a text, in the colour of the site's.
    document.body.classList.toggle('lines', Boolean(payload.data.over))
  }
  // The element is as the pasted one, with the room that is kept for it.
  room.style.minHeight = payload.data.over ? '' : reserved
  room.removeAttribute(OVER_MARK)
  globalThis.pebblestrand!.mount(room, payload, origin)
  if (isInPage && !isShown) {
    dim()
    bringIntoSight()
  }
  isShown = true
  tell()
}

addEventListener('message', ({ source, data }: MessageEvent<Asked | null>) => {
  if (source !== parent) return
  if (data?.pebblestrand === 'replay') replay(data.ms)
  if (data?.pebblestrand === 'show') show(data)
})
// Before anything is said: the window is a wide one until then.
if (isInPage) settle(room, Number(dataset.width) || 0)
new ResizeObserver(tell).observe(room)
parent.postMessage({ pebblestrand: 'ready' }, '*')
