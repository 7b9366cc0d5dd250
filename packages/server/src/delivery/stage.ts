/**
 * The page inside the workbench's stage: an empty client page that loads the very script client sites load, and is told by
 * the workbench which payload to mount and which look the site around it has. It tells its height back. Its origin is
 * opaque (sandboxed), so nothing a feed brings can reach the application.
 */
export const stageDocument = `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Stage</title>
<style>body{margin:0}#room{display:flow-root}</style></head>
<body><div id="room"></div>
<script src="/strand.js"></script>
<script>
(() => {
  const room = document.getElementById('room')
  const origin = new URL(document.scripts[0].src).origin
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
    Object.assign(document.body.style, { fontFamily: look?.bodyFont ?? 'system-ui, sans-serif', color: look?.text ?? '#1d2b34', background: look?.background ?? '#fff', lineHeight: 1.5 })
  }
  const tell = () => parent.postMessage({ pebblestrand: 'height', height: Math.ceil(room.getBoundingClientRect().height) }, '*')
  addEventListener('message', ({ source, data }) => {
    if (source !== parent || data?.pebblestrand !== 'show') return
    wear(data.look)
    if (!widget) room.append((widget = document.createElement('div')))
    room.style.padding = data.padding + 'px'
    pebblestrand.mount(widget, data.payload, origin)
    tell()
  })
  new ResizeObserver(tell).observe(room)
  parent.postMessage({ pebblestrand: 'ready' }, '*')
})()
</script></body></html>
`
