import { defineStore } from 'pinia'
import { ref } from 'vue'
import { get } from '../api/call'
import type { CheckState, FindingInfo } from '../api/types'

interface CheckAnswer {
  id: string
  installId: string
  state: CheckState
  problem: string | null
  findings: FindingInfo[]
}

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

  /** Resolves when the check has ended, one way or another. */
  async function follow(checkId: string): Promise<CheckAnswer> {
    for (;;) {
      const check = await get<CheckAnswer>(`/api/checks/${checkId}`)
      if (check.state === 'done' || check.state === 'failed' || check.state === 'stopped') {
        delete running.value[check.installId]
        return check
      }
      running.value[check.installId] = check.state
      await new Promise((resolve) => setTimeout(resolve, EVERY_MS))
    }
  }

  return { running, follow }
})
