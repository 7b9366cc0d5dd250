import type { Method } from '@pebblestrand/core/snippet'
import { defineStore } from 'pinia'
import { ref } from 'vue'
import { get, patch, post, query, remove } from '../api/call'
import type { InstallDetail } from '../api/types'
import { useChecks } from './checks'

const KEY = 'pebblestrand-walk'

/** One install, and the list it was opened from. */
export const useInstall = defineStore('install', () => {
  const open = ref<InstallDetail | null>(null)
  const walk = ref<string[]>(JSON.parse(sessionStorage.getItem(KEY) ?? '[]') as string[])
  const checks = useChecks()

  async function load(id: string): Promise<void> {
    if (open.value?.id !== id) open.value = null
    open.value = await get<InstallDetail>(`/api/installs/${id}`)
    if (open.value.running) void follow(open.value.running.id).catch(() => {}) // the next look says how it stands
  }
  async function follow(checkId: string): Promise<void> {
    const { installId } = await checks.follow(checkId)
    if (open.value?.id === installId) open.value = await get<InstallDetail>(`/api/installs/${installId}`)
  }

  const path = (rest = '') => `/api/installs/${open.value!.id}${rest}`
  async function change(wanted: { method?: Method; stepsDone?: string[] }): Promise<void> {
    open.value = await patch<InstallDetail>(path(), wanted)
  }
  async function markPasted(): Promise<void> {
    open.value = await post<InstallDetail>(path('/pasted'))
  }
  async function unmarkPasted(): Promise<void> {
    open.value = await remove<InstallDetail>(path('/pasted'))
  }
  const check = async () => follow((await post<{ checkId: string }>(path('/checks'))).checkId)
  const retire = async () => follow((await post<{ checkId: string }>(path('/retire'))).checkId)
  const keep = async () => follow((await remove<{ checkId: string }>(path('/retire'))).checkId)

  /** Remembers the list as it is filtered and sorted, for [ and ]. */
  async function walkAlong(filters: Record<string, string>): Promise<void> {
    walk.value = (await get<{ ids: string[] }>(`/api/installs/ids${query(filters)}`)).ids
    sessionStorage.setItem(KEY, JSON.stringify(walk.value))
  }

  /** It was removed: neither open nor met on the walk any more. */
  function leaveOut(id: string): void {
    if (open.value?.id === id) open.value = null
    walk.value = walk.value.filter((other) => other !== id)
    sessionStorage.setItem(KEY, JSON.stringify(walk.value))
  }

  return { open, walk, load, change, markPasted, unmarkPasted, check, retire, keep, walkAlong, leaveOut }
})
