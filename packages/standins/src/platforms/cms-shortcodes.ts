import { escape } from '../html'
import { expand, withConnector } from './expand'
import { asWords, isAddress, typographic, withoutScripts } from './habits'
import { heading, navigation, picture, words } from './parts'
import type { Platform } from './platform'

const connector = 'Connector: address of the Pebblestrand whose shortcodes are replaced'

/** An address on a line of its own becomes what stands behind it; the rest is words. */
async function written(text: string): Promise<string> {
  const lines = text.split('\n')
  const expanded = await Promise.all(lines.map((line) => (isAddress(line) ? expand(line.trim(), 600) : null)))
  const parts: string[] = []
  let plain: string[] = []
  const flush = () => {
    if (plain.some((line) => line.trim())) parts.push(asWords(plain.join('\n'), (line) => escape(typographic(line))))
    plain = []
  }
  for (const [at, line] of lines.entries())
    if (expanded[at]) {
      flush()
      parts.push(`<figure class="embed">${expanded[at]}</figure>`)
    } else plain.push(line)
  flush()
  return parts.join('\n')
}

/** Classes rather than landmarks for the side column, as themes of such systems do. */
export const cmsShortcodes: Platform = {
  boxes: {
    visual: {
      label: 'Written block',
      places: ['header', 'main', 'sidebar', 'footer'],
      show: async (text, { settings }) => withConnector(await written(text), settings.connector),
    },
    filtered: {
      label: 'Safe markup block',
      places: ['header', 'main', 'sidebar', 'footer'],
      show: (text, { settings }) => withConnector(withoutScripts(text), settings.connector),
    },
    code: {
      label: 'Markup block',
      places: ['header', 'main', 'sidebar', 'footer'],
      show: (text, { settings }) => withConnector(text, settings.connector),
    },
    head: { label: 'Lines for head and foot', places: ['head'], show: (text) => text },
  },
  publishing: 'by page',
  settings: { connector, optimiser: 'Optimiser: write “defer” to put every script off until the page is read' },
  styleSheet: '/content/themes/shore/style.css',
  /** What an optimiser does to the scripts of a page, before it is stored. */
  finish: (html, { optimiser }) =>
    optimiser === 'defer' ? html.replace(/<script async src=/g, '<script defer data-optimised src=') : html,
  words: {
    desk: 'Back room',
    pages: 'Content',
    shared: 'On all pages',
    save: 'Keep changes',
    publish: 'Put online',
    saved: 'Kept for editors only.',
    preview: 'Look at the draft (link for others)',
    published: 'It is online.',
    cacheMenu: 'Upkeep',
    cacheButton: 'Forget stored pages',
    cacheDone: 'No stored pages are left.',
    css: `body{margin:0;font:15px/1.6 "Times New Roman",serif;background:#fff7e8;color:#40301c}
nav{border-bottom:3px double #b59a6a;padding:14px 40px;display:flex;gap:26px;align-items:center;background:#fffdf5}nav a{color:#7a3f10}nav form{margin-left:auto}
main{max-width:760px;margin:24px auto;padding:0 20px}fieldset{border:0;border-top:1px solid #d9c7a0;margin:0 0 20px;padding:12px 0}legend{font-size:20px;text-transform:capitalize;padding-right:12px}
label{display:block;margin:8px 0}textarea{width:100%;height:84px;border:1px solid #b59a6a;background:#fff}button{border:2px solid #7a3f10;background:#fff;color:#7a3f10;border-radius:18px;padding:6px 18px;font:inherit;cursor:pointer}
.done{font-style:italic;color:#356b2c}.bad{color:#a02020}`,
  },
  body: (site, page, region) => `<div id="masthead" class="masthead site-header"><div class="wrap">
<strong>${escape(site.name)}</strong>
<nav aria-label="Pages">
${navigation(site)}
</nav>
${region('header')}
</div></div>
<div id="page" class="wrap columns">
<main id="content" class="content-area">
<h1 class="entry-title">${heading(site, page)}</h1>
${picture(site, page)}
${words(page)}
${region('main')}
</main>
<div class="side widget-area sidebar">
${region('sidebar')}
</div>
</div>
<div class="colophon site-footer"><div class="wrap">
<p>${escape(site.name)}, Skerrow Isles.</p>
${region('footer')}
</div></div>`,
}
