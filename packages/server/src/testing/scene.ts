import { request } from 'undici'
import { Install } from '../installs/models'
import type { Host } from './faults/host'
import type { Person, TestSystem } from './system'
import { standinsPort } from './standins'

/** A site with a page, a widget with a release: what installs need. */
export interface Scene {
  siteId: string
  pageId: string
  placements: Record<string, string>
  widgetId: string
  sourceId: string
}

/** What came of asking for something to be made; fails with what was said where it was not. */
async function made(person: Person, path: string, body: unknown): Promise<string> {
  const answer = await person.post(path, body)
  const { id } = answer.body as { id?: string }
  if (!id) throw new Error(`${path} made nothing: ${JSON.stringify(answer.body)}`)
  return id
}

/** Made through the routes, on one of the simulated sites. */
export async function setScene(
  system: TestSystem,
  person: Person,
  host = 'brackenfold',
  path = '/orchard',
  name = 'Harbour news',
): Promise<Scene> {
  const siteId = await made(person, '/api/sites', {
    client: `${host} ${name}`,
    name: host,
    origin: system.standins(host),
    platform: 'hand-coded',
  })
  const pageId = await made(person, `/api/sites/${siteId}/pages`, { title: 'The page', path })
  const site = (await person.get(`/api/sites/${siteId}`)).body as { placements: { id: string; region: string }[] }
  const sourceId = await made(person, '/api/sources', { url: system.standins('skerrow-post', '/feeds/harbour.atom') })
  const widgetId = await publishedWidget(person, name, sourceId)
  return {
    siteId,
    pageId,
    sourceId,
    widgetId,
    placements: Object.fromEntries(site.placements.map((p) => [p.region, p.id])),
  }
}

export async function publishedWidget(person: Person, name: string, sourceId: string): Promise<string> {
  const id = await made(person, '/api/widgets', { kind: 'headlines', starter: 'sidebar-list', name })
  const { draft } = (await person.get(`/api/widgets/${id}`)).body as {
    draft: { settings: Record<string, unknown>; version: number }
  }
  const saved = (
    await person.put(`/api/widgets/${id}/draft`, {
      settings: { ...draft.settings, sources: [sourceId] },
      version: draft.version,
    })
  ).body as { version: number }
  await person.post(`/api/widgets/${id}/releases`, { version: saved.version })
  return id
}

/** An install of the scene's widget, or of another one, in a region of its page. */
export async function planned(
  person: Person,
  scene: Scene,
  region: string,
  widgetId = scene.widgetId,
): Promise<Install> {
  const id = await made(person, '/api/installs', {
    widgetId,
    pageId: scene.pageId,
    placementId: scene.placements[region],
  })
  return (await Install.findByPk(id))!
}

/** Puts text into a box of a simulated site's page and publishes it, as its editor would. */
export async function pasteAt(
  host: string,
  path: string,
  boxes: Record<string, string>,
  publish = true,
): Promise<void> {
  const address = `http://127.0.0.1:${standinsPort()}`
  const headers = {
    host: `${host}.localhost:${standinsPort()}`,
    'content-type': 'application/x-www-form-urlencoded',
  }
  const entry = await request(`${address}/desk/sign-in`, {
    method: 'POST',
    headers,
    body: 'name=editor&password=island',
  })
  await entry.body.dump()
  const cookie = String(entry.headers['set-cookie']).split(';')[0]!
  const form = new URLSearchParams({ ...boxes, do: publish ? 'publish' : 'save' })
  const done = await request(`${address}/desk/page?path=${encodeURIComponent(path)}`, {
    method: 'POST',
    headers: { ...headers, cookie },
    body: form.toString(),
  })
  await done.body.dump()
}

/** One install on each of so many pages of a site; their checks are queued. */
export async function planOn(person: Person, widgetId: string, host: Host, pages: number): Promise<string[]> {
  const { origin, hostname } = new URL(host.at())
  const { id } = (await person.post('/api/sites', { client: hostname, name: hostname, origin, platform: 'hand-coded' }))
    .body as { id: string }
  const { placements } = (await person.get(`/api/sites/${id}`)).body as { placements: { id: string }[] }
  const ids: string[] = []
  for (let at = 0; at < pages; at++) {
    const { id: pageId } = (await person.post(`/api/sites/${id}/pages`, { title: `P${at}`, path: `/p${at}` })).body as {
      id: string
    }
    const made = await person.post('/api/installs', { widgetId, pageId, placementId: placements[0]!.id })
    ids.push((made.body as { id: string }).id)
  }
  return ids
}
