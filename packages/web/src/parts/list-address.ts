import { shallowRef, watch, type Ref } from 'vue'
import { useRoute } from 'vue-router'

/** What a list is narrowed to, as the address holds it. On the way out the address is another screen's already: then it stays as it was. */
export function useListAddress(): Readonly<Ref<{ q: string; page: number }>> {
  const route = useRoute()
  const own = route.path
  const read = () => ({ q: String(route.query.q ?? ''), page: Number(route.query.page ?? 1) })
  const asked = shallowRef(read())
  watch(
    () => route.query,
    () => route.path === own && (asked.value = read()),
  )
  return asked
}
