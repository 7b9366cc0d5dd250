import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { get, post, remove } from '../api/call'
import type { Paged, SiteRow, TodayAnswer } from '../api/types'

const WATCH_MS = 1000
/** Strands that are drawn at first. */
export const FEW = 14

/** What needs a person now, the shoreline, and the round of checks that may be running. */
export const useToday = defineStore('today', () => {
  const answer = ref<TodayAnswer | null>(null)
  const sites = ref<SiteRow[]>([])
  const siteTotal = ref(0)
  let watching: ReturnType<typeof setTimeout> | undefined

  async function load(): Promise<void> {
    const [today, strands] = await Promise.all([
      get<TodayAnswer>('/api/today'),
      get<Paged<SiteRow>>('/api/sites?size=100&order=attention'),
    ])
    answer.value = today
    // A small estate keeps its order from day to day; of a large one those come first that need a hand.
    sites.value = strands.total > FEW ? strands.rows : strands.rows.sort((a, b) => a.name.localeCompare(b.name))
    siteTotal.value = strands.total
    if (today.round?.state === 'running') watchRound()
  }

  /** The longest strand decides how far apart pebbles lie. */
  const slots = computed(() => Math.max(10, ...sites.value.map((s) => s.pebbles.length)))

  function watchRound(): void {
    clearTimeout(watching)
    watching = setTimeout(() => void load().catch(watchRound), WATCH_MS) // a lost answer is asked for again
  }
  const stopWatching = () => clearTimeout(watching)

  async function checkEverything(): Promise<void> {
    await post('/api/rounds')
    await load()
  }
  async function stopRound(): Promise<void> {
    if (answer.value?.round) await remove(`/api/rounds/${answer.value.round.id}`)
    await load()
  }

  return { answer, sites, siteTotal, slots, load, checkEverything, stopRound, stopWatching }
})
