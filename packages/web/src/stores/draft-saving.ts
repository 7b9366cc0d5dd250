import { routes } from '@pebblestrand/contract'
import { ref } from 'vue'
import { ask } from '../api/call'
import type { ApiError } from '../api/error'
import { asApiError } from '../api/error'
import type { Draft } from '../api/types'

export type SaveState = 'saved' | 'waiting' | 'saving' | 'conflict' | 'failed'

const PAUSE_MS = 500

/**
 * Saves a draft by itself, a moment after the last change, one save at a time. Nothing is overwritten that was not seen.
 * @param typed what is saved: the settings, and what their kind cannot take yet
 */
export function useDraftSaving(typed: () => Pick<Draft, 'settings' | 'unfinished'>) {
  const state = ref<SaveState>('saved')
  const error = ref<ApiError | null>(null)
  const theirs = ref<Draft | null>(null)
  const version = ref(0)
  const savedAt = ref('')
  /** The widget whose draft is open. An answer that comes for another is too late and changes nothing here. */
  let open = { id: '' }
  let timer: ReturnType<typeof setTimeout> | undefined
  let running: Promise<void> | null = null

  function begin(widgetId: string, draft: Draft): void {
    clearTimeout(timer)
    if (open.id !== widgetId) open = { id: widgetId }
    take(draft)
  }
  function take(draft: Draft): void {
    version.value = draft.version
    savedAt.value = draft.savedAt
    theirs.value = null
    error.value = null
    state.value = 'saved'
  }
  function changed(): void {
    if (state.value === 'conflict') return
    state.value = 'waiting'
    clearTimeout(timer)
    timer = setTimeout(() => void flush(), PAUSE_MS)
  }

  /** Saves what waits, now. */
  async function flush(): Promise<void> {
    clearTimeout(timer)
    const own = open
    await running
    if (own !== open || (state.value !== 'waiting' && state.value !== 'failed')) return
    running = save(own).finally(() => (running = null))
    await running
    if (own === open && (state.value as SaveState) === 'waiting') await flush()
  }

  async function save(own: { id: string }): Promise<void> {
    state.value = 'saving'
    const sent = JSON.stringify(typed())
    try {
      const body = { ...(JSON.parse(sent) as ReturnType<typeof typed>), version: version.value }
      const saved = await ask(routes.widgets.saveDraft, { params: { id: own.id }, body })
      if (own !== open) return
      take(saved)
      if (JSON.stringify(typed()) !== sent) state.value = 'waiting'
    } catch (e) {
      if (own !== open) return
      error.value = asApiError(e)
      const conflict = error.value.code === 'draft-changed'
      theirs.value = conflict ? (error.value.data as Draft) : null
      state.value = conflict ? 'conflict' : 'failed'
    }
  }

  /** Their draft becomes the one this one is written over, on purpose. */
  async function overwrite(): Promise<void> {
    if (!theirs.value) return
    version.value = theirs.value.version
    theirs.value = null
    state.value = 'waiting'
    await flush()
  }

  const meet = (draft: Draft) => {
    theirs.value = draft
    state.value = 'conflict'
  }

  return { state, error, theirs, version, savedAt, begin, take, changed, flush, overwrite, meet }
}
