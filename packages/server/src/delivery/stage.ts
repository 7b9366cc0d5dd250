import { ROOM_ID } from '@pebblestrand/core/verify'
import { pathTo } from '@pebblestrand/core/wire'

/** Where the script of the stage is. */
export const STAGE_SCRIPT = '/stage.js'

/** @param about what the stage's script is told of the page it is in; `width` is what the plan says of the placement, px */
const scripts = (origin: string, about: { inPage: boolean; width: number }, nonce = '') => {
  const allowed = nonce ? ` nonce="${nonce}"` : ''
  return (
    `<script${allowed} src="${origin}${pathTo('script')}"></script>` +
    `<script${allowed} src="${origin}${STAGE_SCRIPT}" data-origin="${origin || '/'}" data-in-page="${about.inPage ? 1 : 0}" data-width="${about.width}"></script>`
  )
}

/** The page inside the workbench's stage: an empty client page that loads the very script client sites load. */
export const stageDocument = (origin: string) => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Stage</title>
<style>body{margin:0;display:flow-root}.lines{min-height:150vh;position:relative}.lines::before{content:'';position:absolute;inset:96px max(24px,calc(50% - 400px)) 24px;background:repeating-linear-gradient(currentColor 0 10px,transparent 10px 34px);opacity:.1}</style></head>
<body><div id="${ROOM_ID}"></div>${scripts(origin, { inPage: false, width: 0 })}</body></html>`

/** A client's page as the stage: its addresses lead to its own site, and only the stage's scripts run. */
export const stageInPage = (
  html: string,
  { url, width }: { url: string; width: number },
  origin: string,
  nonce: string,
) =>
  html
    .replace(/<head(?=[\s>])[^>]*>/i, (head) => `${head}<base href="${url.replace(/[&"<>]/g, encodeURIComponent)}">`)
    .replace(/<\/body>(?![\s\S]*<\/body>)/i, () => `${scripts(origin, { inPage: true, width }, nonce)}</body>`)
