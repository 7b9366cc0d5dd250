import { defineStore } from 'pinia'
import { ref } from 'vue'
import { get } from '../api/call'
import { ApiError } from '../api/error'
import type { CheckState, FindingInfo } from '../api/types'

interface CheckAnswer {
  id: string
  installId: string
  state: CheckState
  problem: string | null
  findings: FindingInfo[]
}

const brokenOff = () =>
  new ApiError(0, 'check-failed', 'The check broke off.', 'Check again; if it stays, tell whoever runs this server.')

const EVERY_MS = 400

/** What a check is doing, in words. */
export const checkWords: Record<CheckState, string> = {
  queued: 'Waiting for its turn',
  served: 'Reading the page as visitors get it',
  fresh: 'Reading the page past its cache',
  judging: 'Comparing with the plan',
  done: 'Done',
  failed: 'The check broke off',
  stopped: 'The check was stopped',
}

/** Checks that are on their way, by id. */
export const useChecks = defineStore('checks', () => {
  const running = ref<Record<string, CheckState>>({})

  /** Resolves when the check is through or was stopped, or its install removed; rejects with an ApiError where it broke off. */
  async function follow(checkId: string): Promise<CheckAnswer> {
    let installId = ''
    try {
      for (;;) {
        const check = await get<CheckAnswer>(`/api/checks/${checkId}`)
        if (check.state === 'failed') throw brokenOff()
        if (check.state === 'done' || check.state === 'stopped') return check
        installId = check.installId
        running.value[installId] = check.state
        await new Promise((resolve) => setTimeout(resolve, EVERY_MS))
      }
    } catch (e) {
      if (installId && e instanceof ApiError && e.code === 'not-found')
        return { id: checkId, installId, state: 'stopped', problem: null, findings: [] }
      throw e
    } finally {
      delete running.value[installId]
    }
  }

  return { running, follow }
})
