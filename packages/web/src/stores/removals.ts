import { defineStore } from 'pinia'
import { ref } from 'vue'
import { get, post, query, remove } from '../api/call'
import type { BroughtBack, Removable, RemovalRow, Paged } from '../api/types'

/** What was taken out lately, and the ways out and back. */
export const useRemovals = defineStore('removals', () => {
  const list = ref<(Paged<RemovalRow> & { daysKept: number }) | null>(null)

  async function load(page: number): Promise<void> {
    list.value = await get(`/api/removals${query({ page })}`)
  }
  /** `standing`: on how many client pages the person knows it to be. On more than that, it stays and the error says where. */
  const takeOut = (what: Removable, id: string, standing = 0) =>
    post<{ id: string; name: string }>('/api/removals', { what, id, standing })
  const bringBack = (id: string) => remove<BroughtBack>(`/api/removals/${id}`)

  return { list, load, takeOut, bringBack }
})
