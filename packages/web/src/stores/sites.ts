import { defineStore } from 'pinia'
import { ref } from 'vue'
import { get, patch, post, query } from '../api/call'
import type { Paged, Place, SiteDetail, SiteRow } from '../api/types'

/** What is noted of a site. */
export interface SiteFacts {
  name: string
  origin: string
  platform: string
  cacheMinutes: number | null
  timeZone: string
}

/** Client sites: the list, and the one that is open. */
export const useSites = defineStore('sites', () => {
  const list = ref<Paged<SiteRow> | null>(null)
  const open = ref<SiteDetail | null>(null)
  const platforms = ref<{ id: string; name: string }[]>([])

  async function loadList(q: string, page: number): Promise<void> {
    list.value = await get<Paged<SiteRow>>(`/api/sites${query({ q, page })}`)
  }
  async function loadPlatforms(): Promise<void> {
    platforms.value = (await get<{ rows: { id: string; name: string }[] }>('/api/platforms')).rows
  }
  async function loadOne(id: string): Promise<void> {
    if (open.value?.id !== id) open.value = null
    open.value = await get<SiteDetail>(`/api/sites/${id}`)
  }
  const add = (site: SiteFacts & { client: string }) => post<{ id: string }>('/api/sites', site)
  async function change(id: string, facts: SiteFacts & { look: object | null }): Promise<void> {
    open.value = await patch<SiteDetail>(`/api/sites/${id}`, facts)
  }

  async function addPage(title: string, path: string): Promise<string> {
    const { id } = await post<{ id: string }>(`/api/sites/${open.value!.id}/pages`, { title, path })
    await loadOne(open.value!.id)
    return id
  }
  async function correctPage(id: string, change: { title?: string; path?: string }): Promise<void> {
    open.value = await patch<SiteDetail>(`/api/pages/${id}`, change)
  }
  async function addPlacement(placement: {
    pageId: string | null
    name: string
    region: string
    width: number | null
    selector: string | null
  }): Promise<void> {
    await post(`/api/sites/${open.value!.id}/placements`, placement)
    await loadOne(open.value!.id)
  }
  async function changePlacement(
    id: string,
    change: { name?: string; width?: number | null; selector?: string | null },
  ): Promise<void> {
    open.value = await patch<SiteDetail>(`/api/placements/${id}`, change)
  }
  /** Placements whose site, page or own name has the words. */
  const places = (q: string) => get<Paged<Place>>(`/api/places${query({ q, size: 100 })}`)
  const place = async (id: string) => (await get<Paged<Place>>(`/api/places${query({ id })}`)).rows[0]

  return {
    list,
    open,
    platforms,
    loadList,
    loadPlatforms,
    loadOne,
    add,
    change,
    addPage,
    correctPage,
    addPlacement,
    changePlacement,
    places,
    place,
  }
})
