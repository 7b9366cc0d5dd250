import { defineStore } from 'pinia'
import { ref } from 'vue'
import { get, query } from '../api/call'
import type { Paged, RegisterRow } from '../api/types'

type Named = { id: string; name: string }[]
export interface FilterValues {
  clients: Named
  sites: Named
  /** Of the chosen site. */
  pages: Named
  widgets: Named
  people: Named
  findings: string[]
}

/** The register of all installs, filtered, sorted and paged by the server. */
export const useRegister = defineStore('register', () => {
  const list = ref<Paged<RegisterRow> | null>(null)
  const values = ref<FilterValues>({ clients: [], sites: [], pages: [], widgets: [], people: [], findings: [] })

  async function load(filters: Record<string, string>): Promise<void> {
    list.value = await get<Paged<RegisterRow>>(`/api/installs${query(filters)}`)
  }
  async function loadValues(siteId: string): Promise<void> {
    values.value = await get<FilterValues>(`/api/installs/filters${query({ siteId })}`)
  }
  return { list, values, load, loadValues }
})
