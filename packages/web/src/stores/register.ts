import { defineStore } from 'pinia'
import { ref } from 'vue'
import { get, query } from '../api/call'
import type { Paged, RegisterRow } from '../api/types'

export interface FilterValues {
  sites: { id: string; name: string }[]
  widgets: { id: string; name: string }[]
  findings: string[]
}

/** The register of all installs, filtered, sorted and paged by the server. */
export const useRegister = defineStore('register', () => {
  const list = ref<Paged<RegisterRow> | null>(null)
  const values = ref<FilterValues>({ sites: [], widgets: [], findings: [] })

  async function load(filters: Record<string, string>): Promise<void> {
    list.value = await get<Paged<RegisterRow>>(`/api/installs${query(filters)}`)
  }
  async function loadValues(): Promise<void> {
    values.value = await get<FilterValues>('/api/installs/filters')
  }
  return { list, values, load, loadValues }
})
