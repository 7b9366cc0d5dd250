import { escapeAttribute, escapeText } from '../markup'
import type { SpokenLanguage } from '../words'

/** Where the script of a sheet's page is. */
export const SHEET_SCRIPT = '/sheet.js'

const style = `
@font-face{font-family:Bricolage;src:url(/fonts/bricolage-grotesque.woff2);font-weight:200 800;font-display:swap}
@font-face{font-family:Atkinson;src:url(/fonts/atkinson-hyperlegible-next.woff2);font-weight:200 800;font-display:swap}
*{box-sizing:border-box}
body{margin:0;background:#f7f4ec;color:#1d2b34;font:18px/1.5 Atkinson,sans-serif}
main{max-width:720px;margin:0 auto;padding:28px 20px 60px}
h1,h2,h3{font-family:Bricolage,sans-serif;line-height:1.2;margin:0}
h1{font-size:32px;text-wrap:balance}h2{font-size:25px}h3{font-size:17px;margin:28px 0 8px}
p{margin:8px 0}a{color:#17665a;overflow-wrap:anywhere}
.for,footer,.progress{color:#51606a;font-size:16px}
blockquote{margin:16px 0;padding:2px 0 2px 16px;border-inline-start:3px solid #d3cbb9}
section{margin-top:36px;padding-top:24px;border-top:1px solid #1d2b34}
svg{max-width:100%;height:auto}
pre{margin:0;padding:14px;background:#fffdf8;border:1px solid #d3cbb9;font:14px/1.5 ui-monospace,monospace;font-variant-ligatures:none;white-space:pre-wrap;overflow-wrap:anywhere}
ol{margin:0;padding:0;list-style:none;counter-reset:step}
li{border-bottom:1px solid #d3cbb9}li label{display:flex;gap:12px;padding:10px 0}
input[type=checkbox]{flex:none;width:24px;height:24px;margin:1px 0 0;accent-color:#17665a}
button,summary{font:inherit;cursor:pointer}
.act{min-height:48px;padding:8px 22px;border:0;border-radius:2px;background:#17665a;color:#fffdf8;font-weight:600}
.act.plain{background:none;border:1px solid #1d2b34;color:#1d2b34}
.word{padding:4px 0;border:0;background:none;color:#17665a;font-weight:600;text-decoration:underline;text-underline-offset:3px;min-height:32px}
.acts{display:flex;flex-wrap:wrap;gap:14px 28px;align-items:flex-start;margin-top:20px}
summary{padding:12px 0;color:#51606a;text-decoration:underline;text-underline-offset:3px}
textarea{display:block;width:100%;max-width:520px;margin:6px 0 12px;padding:10px;border:1px solid #51606a;background:#fffdf8;color:inherit;font:inherit}
.verdict p{padding:12px 16px;margin:14px 0;border-inline-start:4px solid}
.well{border-color:#17665a;background:#e6efe9}.fault{border-color:#b03a2a;background:#f8e9e4}.looking,.told{border-color:#26659b;background:#e7eef3}
.note{padding:8px 0;border-bottom:1px solid #d3cbb9}
.shown{overflow:auto;border:1px solid #d3cbb9;background:#fff}.shown iframe{display:block;border:0;max-width:100%}
footer{margin-top:48px;border-top:1px solid #d3cbb9;padding-top:12px}
table{border-collapse:collapse;width:100%}th,td{text-align:start;padding:10px 12px 10px 0;border-bottom:1px solid #d3cbb9;vertical-align:top}th{font-weight:600}
:focus-visible{outline:3px solid #26659b;outline-offset:2px}
@page{margin:16mm}
@media print{main{position:relative}.qr{position:absolute;top:0;inset-inline-end:0;margin:0}.qr svg{width:26mm;height:26mm}h1{padding-inline-end:30mm}body{background:none;font-size:11pt}h1{font-size:20pt}h2{font-size:16pt}h3{margin:14px 0 4px}p{margin:4px 0}li label{padding:4px 0}input[type=checkbox]{width:14px;height:14px;margin-top:4px}pre{padding:8px;font-size:9pt}svg{max-height:48mm;width:auto}main{max-width:none;padding:0}footer{margin-top:10px;padding-top:4px}section{break-before:page;border:0;padding:0;margin:0}section:first-of-type{break-before:auto}.acts,.copy,.verdict,.shown,h3:has(+.shown),button,noscript{display:none}.qr>summary{display:none}details.qr::details-content{content-visibility:visible;block-size:auto}h3{break-after:avoid}pre,svg,li{break-inside:avoid}a{color:inherit}}
`

/** A page for whoever has no account. @param given.hasScript false where the page works by itself */
export function page(given: {
  language: SpokenLanguage
  title: string
  refreshes: boolean
  hasScript?: boolean
  body: string
}): string {
  const { tag, direction } = given.language
  return `<!doctype html>
<html lang="${escapeAttribute(tag)}" dir="${direction}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="robots" content="noindex">
<link rel="icon" href="data:,">
<title>${escapeText(given.title)}</title>
${given.refreshes ? '<noscript><meta http-equiv="refresh" content="4"></noscript>' : ''}
<style>${style}</style>
${given.hasScript === false ? '' : `<script src="${SHEET_SCRIPT}" defer></script>`}
</head>
<body><main>${given.body}</main></body>
</html>
`
}
