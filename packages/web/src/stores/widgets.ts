import { defineStore } from 'pinia'
import { ref } from 'vue'
import { get, post, query } from '../api/call'
import type { Paged, WidgetRow } from '../api/types'

export interface KindInfo {
  id: string
  name: string
  purpose: string
  starters: { id: string; name: string; settings: Record<string, unknown> }[]
}

export const useWidgets = defineStore('widgets', () => {
  const list = ref<Paged<WidgetRow> | null>(null)

  async function load(q: string, page: number, size = 24): Promise<void> {
    list.value = await get<Paged<WidgetRow>>(`/api/widgets${query({ q, page, size })}`)
  }
  const make = (widget: { kind: string; starter: string | null; name: string | null }) =>
    post<{ id: string }>('/api/widgets', widget)

  return { list, load, make }
})
