import { startHost } from '../packages/server/src/testing/faults/host'
import type { RequestListener } from 'node:http'
import type { Owner } from './owner'

export interface PlannedSite {
  installs: string[]
  requests: string[]
  stop(): Promise<void>
}

/** A site that answers as it is told to, with an install planned on each of its pages. */
export async function plannedSite(
  owner: Owner,
  name: string,
  pages: number,
  answer: RequestListener,
): Promise<PlannedSite> {
  const host = await startHost(name, answer)
  const { origin } = new URL(host.at())
  const { id } = await owner.ask<{ id: string }>('POST', '/api/sites', {
    client: 'Bench',
    name,
    origin,
    platform: 'hand-coded',
  })
  const { placements } = await owner.ask<{ placements: { id: string }[] }>('GET', `/api/sites/${id}`)
  const { rows } = await owner.ask<{ rows: { id: string }[] }>('GET', '/api/widgets?q=Harbour')
  const installs: string[] = []
  for (let at = 0; at < pages; at++) {
    const page = await owner.ask<{ id: string }>('POST', `/api/sites/${id}/pages`, { title: `P${at}`, path: `/p${at}` })
    const wanted = { widgetId: rows[0]!.id, pageId: page.id, placementId: placements[0]!.id }
    installs.push((await owner.ask<{ id: string }>('POST', '/api/installs', wanted)).id)
  }
  return { installs, requests: host.requests, stop: () => host.stop() }
}

export const askCheck = async (owner: Owner, installId: string) =>
  (await owner.ask<{ checkId: string }>('POST', `/api/installs/${installId}/checks`)).checkId

/** Milliseconds until a check asked for now is done. */
export async function checkTime(owner: Owner, installId: string): Promise<number> {
  const began = performance.now()
  const checkId = await askCheck(owner, installId)
  await ended(owner, checkId)
  return performance.now() - began
}

export async function ended(owner: Owner, checkId: string, mostMs = 180_000): Promise<string> {
  for (const until = Date.now() + mostMs; Date.now() < until;) {
    const { state } = await owner.ask<{ state: string }>('GET', `/api/checks/${checkId}`)
    if (['done', 'failed', 'stopped'].includes(state)) return state
    await new Promise((resolve) => setTimeout(resolve, 20))
  }
  return 'never'
}
