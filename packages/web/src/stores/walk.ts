import { defineStore } from 'pinia'
import { ref } from 'vue'
import { idsOf, type Filters } from '../queries/installs'

const KEY = 'pebblestrand-walk'

/** The list an install was opened from, as it was filtered and sorted: what [ and ] walk along. */
export const useWalk = defineStore('walk', () => {
  const ids = ref<string[]>(JSON.parse(sessionStorage.getItem(KEY) ?? '[]') as string[])
  let asked = 0
  const keep = (next: string[]) => {
    ids.value = next
    sessionStorage.setItem(KEY, JSON.stringify(next))
  }

  /** Of two lists asked for, the later one counts, whichever answer comes last. */
  async function along(filters: Filters): Promise<void> {
    const own = ++asked
    const found = await idsOf(filters)
    if (own === asked) keep(found)
  }
  const leaveOut = (id: string) => keep(ids.value.filter((other) => other !== id))

  return { ids, along, leaveOut }
})
