import { onScopeDispose, readonly, ref, watch, type Ref } from 'vue'

/** Ms: what takes longer says so. */
const PATIENCE = 500

/** True while something has been going on for longer than half a second. */
export function useSlow(isBusy: () => boolean): Readonly<Ref<boolean>> {
  const slow = ref(false)
  let timer: ReturnType<typeof setTimeout> | undefined
  watch(
    isBusy,
    (busy) => {
      clearTimeout(timer)
      slow.value = false
      if (busy) timer = setTimeout(() => (slow.value = true), PATIENCE)
    },
    { immediate: true },
  )
  onScopeDispose(() => clearTimeout(timer))
  return readonly(slow)
}
