import { routes } from '@pebblestrand/contract'
import { computed } from 'vue'
import { ask } from '../api/call'
import { changed, useAsk } from './query'

const WATCH_MS = 1000
/** Strands that are drawn at first. */
export const FEW = 14

/** What needs a person now, the shoreline, and the round of checks that may be running. */
export function useToday() {
  const today = useAsk(routes.today.read, () => ({}), {
    again: (answer) => (answer?.round?.state === 'running' ? WATCH_MS : 0),
  })
  const running = computed(() => today.data.value?.round?.state === 'running')
  const strands = useAsk(routes.sites.list, () => ({ query: { size: 100, order: 'attention' as const } }), {
    again: () => (running.value ? WATCH_MS : 0),
  })
  // A small estate keeps its order from day to day; of a large one those come first that need a hand.
  const sites = computed(() => {
    const list = strands.data.value
    if (!list) return []
    return list.total > FEW ? list.rows : [...list.rows].sort((a, b) => a.name.localeCompare(b.name))
  })
  return {
    answer: today.data,
    error: today.error,
    refetch: () => Promise.all([today.refetch(), strands.refetch()]),
    sites,
    siteTotal: computed(() => strands.data.value?.total ?? 0),
    /** The longest strand decides how far apart pebbles lie. */
    slots: computed(() => Math.max(10, ...sites.value.map((s) => s.pebbles.length))),
  }
}

export async function checkEverything(): Promise<void> {
  await ask(routes.checks.startRound, {})
  await changed(routes.today.read)
}
export async function stopRound(id: string): Promise<void> {
  await ask(routes.checks.stopRound, { params: { id } })
  await changed(routes.today.read)
}
