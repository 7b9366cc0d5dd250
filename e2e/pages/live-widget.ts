import type { Browser, Page } from '@playwright/test'
import { Desk } from './desk'
import { siteId } from './finds'
import { api, siteAddress } from './signed-in'

/** A widget begun from a starter; its id. */
export const begin = async (page: Page, kind: string, starter: string, name: string): Promise<string> =>
  (await api<{ id: string }>(page, 'POST', '/api/widgets', { kind, starter, name })).id

/** A release with these settings changed. */
export async function publish(page: Page, widgetId: string, change: object): Promise<void> {
  const { draft } = await api<{ draft: { settings: object; version: number } }>(page, 'GET', `/api/widgets/${widgetId}`)
  const settings = { ...draft.settings, ...change }
  const { version } = await api<{ version: number }>(page, 'PUT', `/api/widgets/${widgetId}/draft`, {
    settings,
    version: draft.version,
  })
  await api(page, 'POST', `/api/widgets/${widgetId}/releases`, { version })
}

interface SiteAnswer {
  pages: { id: string; path: string }[]
  placements: { id: string; region: string }[]
}

/**
 * Widgets planned on a page, pasted at the site's desk and published there: in a region, or over the page where none is named.
 * @returns where visitors see them, what pastes their newest code, and what takes them out again
 */
export async function stand(
  page: Page,
  browser: Browser,
  { site, host, path }: { site: string; host: string; path: string },
  widgets: readonly { widgetId: string; region?: string; box?: string }[],
): Promise<{ at: string; paste(): Promise<void>; away(): Promise<void> }> {
  const { pages, placements } = await api<SiteAnswer>(page, 'GET', `/api/sites/${await siteId(page, site)}`)
  const pageId = pages.find((one) => one.path === path)!.id
  const installs: { id: string; box: string }[] = []
  for (const { widgetId, region, box = 'code' } of widgets) {
    const placementId = region && placements.find((one) => one.region === region)!.id
    const { id } = await api<{ id: string }>(page, 'POST', '/api/installs', { pageId, widgetId, placementId })
    installs.push({ id, box: `${region ?? 'main'}.${box}` })
  }
  const editor = await browser.newContext()
  const desk = new Desk(await editor.newPage(), host)
  await desk.signIn()
  const paste = async () => {
    const code: Record<string, string> = {}
    for (const { id, box } of installs) {
      const { snippets } = await api<{ snippets: { inline: string } }>(page, 'GET', `/api/installs/${id}`)
      code[box] = `${code[box] ?? ''}\n${snippets.inline}`
    }
    await desk.publish(path, code)
  }
  await paste()
  await desk.forget()
  return {
    at: siteAddress(host, path),
    paste,
    async away() {
      await desk.publish(path, Object.fromEntries(installs.map(({ box }) => [box, ''])))
      await editor.close()
    },
  }
}
