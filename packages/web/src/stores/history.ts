import { computed, ref, shallowRef } from 'vue'

/** Changes of one setting within this time are one step. */
const TOGETHER_MS = 900
const MOST_STEPS = 200

/** What a value was before each change, for as long as the screen is open: steps back and forward again. */
export function useHistory<T>(now: () => number = Date.now) {
  const past = shallowRef<T[]>([])
  const future = shallowRef<T[]>([])
  const last = ref<{ what: string; at: number } | null>(null)

  /** Notes the value as it is before a change of `what`. */
  function before(value: T, what: string): void {
    const at = now()
    const isMore = last.value?.what === what && at - last.value.at < TOGETHER_MS && past.value.length > 0
    if (!isMore) past.value = [...past.value, value].slice(-MOST_STEPS)
    future.value = []
    last.value = { what, at }
  }
  /** The value a step back, or null at the beginning. */
  function back(present: T): T | null {
    const step = past.value.at(-1)
    if (step === undefined) return null
    past.value = past.value.slice(0, -1)
    future.value = [...future.value, present]
    last.value = null
    return step
  }
  function forward(present: T): T | null {
    const step = future.value.at(-1)
    if (step === undefined) return null
    future.value = future.value.slice(0, -1)
    past.value = [...past.value, present]
    last.value = null
    return step
  }
  function forget(): void {
    past.value = []
    future.value = []
    last.value = null
  }
  return {
    before,
    back,
    forward,
    forget,
    canGoBack: computed(() => past.value.length > 0),
    canGoForward: computed(() => future.value.length > 0),
  }
}
