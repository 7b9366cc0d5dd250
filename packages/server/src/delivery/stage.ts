import { ROOM_ID } from '@pebblestrand/core/verify'
import { OVER_MARK, pathTo } from '@pebblestrand/core/wire'

/**
 * What runs on the stage: it is told by the workbench which payload to mount and which look the site around it has, and tells
 * its height back. Its origin is opaque (sandboxed), so nothing a feed or a page brings can reach the application.
 */
const stageScript = `
(() => {
  // What a page's author wrote may have taken it for text.
  const room = document.getElementById('${ROOM_ID}') ?? document.body.appendChild(document.createElement('div'))
  const origin = new URL(document.currentScript.dataset.origin, location.href).origin
  const inPage = document.currentScript.dataset.inPage === '1'
  let widget = null
  const faces = new Map()
  const wear = (look) => {
    for (const { family, src, weight } of look?.fontFaces ?? []) {
      if (faces.has(src)) continue
      const face = new FontFace(family, 'url(' + JSON.stringify(src) + ')', { weight })
      faces.set(src, face)
      document.fonts.add(face)
      face.load().then(tell, () => faces.delete(src))
    }
    if (inPage) return
    Object.assign(document.body.style, { fontFamily: look?.bodyFont ?? 'system-ui, sans-serif', color: look?.text ?? '#1d2b34', background: look?.background ?? '#fff', lineHeight: 1.5 })
  }
  const dim = () => {
    for (let at = room; at !== document.body && at.parentElement; at = at.parentElement)
      for (const other of at.parentElement.children) if (other !== at && other.tagName !== 'STYLE') { other.style.opacity = '.35'; other.style.filter = 'grayscale(.5)'; other.inert = true }
  }
  // Within this page only: scrollIntoView would scroll the workbench as well.
  const bringIntoSight = () => {
    const { top, height } = room.getBoundingClientRect()
    scrollTo({ top: top + scrollY - Math.max(24, (innerHeight - height) / 2), behavior: 'instant' })
  }
  let shown = false
  let playing = 0
  /** What stands over the page goes as it goes for a visitor, and comes again; ms: that it takes to go. */
  const replay = (ms) => {
    clearTimeout(playing)
    const be = (state) => widget.setAttribute('${OVER_MARK}', state)
    be('closing')
    playing = setTimeout(() => { be('shut'); playing = setTimeout(() => be('open'), 600) }, ms)
  }
  const tell = () => parent.postMessage({ pebblestrand: 'height', height: Math.ceil((inPage ? document.documentElement : room).getBoundingClientRect().height), top: Math.round(room.getBoundingClientRect().top + scrollY), width: Math.round(room.getBoundingClientRect().width) }, '*')
  addEventListener('message', ({ source, data }) => {
    if (source !== parent) return
    if (data?.pebblestrand === 'replay') return widget && replay(data.ms)
    if (data?.pebblestrand !== 'show') return
    clearTimeout(playing)
    wear(data.look)
    if (!widget) room.append((widget = document.createElement('div')))
    if (!inPage) room.style.padding = data.padding + 'px'
    // Something over a page wants one below it: lines as of a text, in the colour of the site's.
    if (!inPage) document.body.classList.toggle('lines', Boolean(data.payload.data.over))
    pebblestrand.mount(widget, data.payload, origin)
    if (inPage && !shown) { dim(); bringIntoSight() }
    shown = true
    tell()
  })
  new ResizeObserver(tell).observe(room)
  parent.postMessage({ pebblestrand: 'ready' }, '*')
})()`

const scripts = (origin: string, inPage: boolean, nonce = '') => {
  const allowed = nonce ? ` nonce="${nonce}"` : ''
  return (
    `<script${allowed} src="${origin}${pathTo('script')}"></script>` +
    `<script${allowed} data-origin="${origin || '/'}" data-in-page="${inPage ? 1 : 0}">${stageScript}</script>`
  )
}

/** The page inside the workbench's stage: an empty client page that loads the very script client sites load. */
export const stageDocument = (origin: string) => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Stage</title>
<style>body{margin:0}#${ROOM_ID}{display:flow-root}.lines{min-height:150vh;position:relative}.lines::before{content:'';position:absolute;inset:96px max(24px,calc(50% - 400px)) 24px;background:repeating-linear-gradient(currentColor 0 10px,transparent 10px 34px);opacity:.1}</style></head>
<body><div id="${ROOM_ID}"></div>${scripts(origin, false)}</body></html>`

/**
 * A client's page as the stage: its addresses lead to its own site, and only the stage's scripts run. What stands in a row or
 * is centred gives an element only the room its content asks for; a widget takes what it is given, so the room says it itself.
 */
export const stageInPage = (
  html: string,
  { url, width }: { url: string; width: number },
  origin: string,
  nonce: string,
) =>
  html
    .replace(/<head(?=[\s>])[^>]*>/i, (head) => `${head}<base href="${url.replace(/[&"<>]/g, encodeURIComponent)}">`)
    .replace(
      /<\/body>(?![\s\S]*<\/body>)/i,
      () => `<style>#${ROOM_ID}{min-width:min(100%,${width}px)}</style>${scripts(origin, true, nonce)}</body>`,
    )
