import { ref } from 'vue'
import { put } from '../api/call'
import type { ApiError } from '../api/error'
import { asApiError } from '../api/error'
import type { Draft } from '../api/types'

export type SaveState = 'saved' | 'waiting' | 'saving' | 'conflict' | 'failed'

const PAUSE_MS = 500

/** Saves a draft by itself, a moment after the last change, one save at a time. Nothing is overwritten that was not seen. */
export function useDraftSaving(currentSettings: () => Record<string, unknown>) {
  const state = ref<SaveState>('saved')
  const error = ref<ApiError | null>(null)
  const theirs = ref<Draft | null>(null)
  const version = ref(0)
  const savedAt = ref('')
  let path = ''
  let timer: ReturnType<typeof setTimeout> | undefined
  let running: Promise<void> | null = null

  function begin(widgetId: string, draft: Draft): void {
    clearTimeout(timer)
    path = `/api/widgets/${widgetId}/draft`
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
    await running
    if (state.value !== 'waiting' && state.value !== 'failed') return
    running = save().finally(() => (running = null))
    await running
    if ((state.value as SaveState) === 'waiting') await flush()
  }

  async function save(): Promise<void> {
    state.value = 'saving'
    const sent = JSON.stringify(currentSettings())
    try {
      const saved = await put<Draft>(path, { settings: JSON.parse(sent), version: version.value })
      take(saved)
      if (JSON.stringify(currentSettings()) !== sent) state.value = 'waiting'
    } catch (e) {
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
