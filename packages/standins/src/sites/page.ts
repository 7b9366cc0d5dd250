import { builds } from '../builds/list'
import { escape } from '../html'
import { platformOf } from '../platforms/list'
import type { Content } from '../state/store'
import { regionHtml } from './region-html'
import { regionNames, type RegionName, type Site, type SitePage } from './site'

export interface PageContents {
  shared: Content
  own: Content
}

interface Viewer {
  /** Where the desk of who is signed in leads; null for a visitor. */
  deskPath: string | null
  isPreview: boolean
  settings: Readonly<Record<string, string>>
}

/** A whole page as a visitor, or a signed-in editor with a bar on top, gets it. */
export async function pageHtml(
  site: Site,
  page: SitePage,
  contents: PageContents,
  { deskPath, isPreview, settings }: Viewer,
): Promise<string> {
  const platform = platformOf(site)
  const moment = { site, isPreview, settings }
  const filled = {} as Record<RegionName, string>
  for (const name of regionNames) {
    const both = [
      await regionHtml(name, contents.shared[name], moment),
      await regionHtml(name, contents.own[name], moment),
    ]
    filled[name] = both.filter(Boolean).join('\n')
  }
  const head = await regionHtml('head', contents.shared.head, moment)
  const html = `<!DOCTYPE html>
<html lang="${page.language ?? 'en'}"${page.direction ? ` dir="${page.direction}"` : ''}>
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escape(page.title)} · ${escape(site.name)}</title>
<link rel="stylesheet" href="${platform.styleSheet}">
${[platform.head?.(site), head].filter(Boolean).join('\n')}
</head>
<body>
${deskPath ? `<div class="editor-bar">You are signed in. <a href="${deskPath}">Back to the desk</a></div>` : ''}
${(builds[site.host] ?? platform).body(site, page, (name) => filled[name])}
${page.filler ? `<div class="long-list" hidden>${`<p>${escape(page.filler)}</p>`.repeat(2000)}</div>` : ''}
</body>
</html>
`
  return platform.finish?.(html, settings) ?? html
}
