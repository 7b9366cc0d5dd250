import { ref, shallowRef } from 'vue'
import { asApiError, type ApiError } from '../api/error'

/** A form on its way to the server: whether it is, and what was wrong with it. What was typed stays with whoever holds it. */
export function useSubmission(run: () => Promise<unknown>) {
  const busy = ref(false)
  const error = shallowRef<ApiError | null>(null)
  /** What is said of one field. */
  const about = (field: string) => error.value?.about(field) ?? ''

  async function submit(): Promise<void> {
    busy.value = true
    error.value = null
    try {
      await run()
    } catch (e) {
      error.value = asApiError(e)
    } finally {
      busy.value = false
    }
  }
  return { busy, error, about, submit }
}
