import { defineStore } from 'pinia'
import { ref } from 'vue'
import { routes } from '@pebblestrand/contract'
import { lookIds, lookKinds, type LookId } from '@pebblestrand/core/verify/words'
import { ask } from '../api/call'
import { ApiError } from '../api/error'
import type { CheckState } from '../api/types'

const brokenOff = () =>
  new ApiError(0, 'check-failed', 'The check broke off.', 'Check again; if it stays, tell whoever runs this server.')

const EVERY_MS = 400

const looking = Object.fromEntries(lookIds.map((how) => [how, lookKinds[how].doing])) as Record<LookId, string>

/** What a check is doing, in words. */
export const checkWords: Record<CheckState, string> = {
  queued: 'Waiting for its turn',
  ...looking,
  judging: 'Comparing with the plan',
  done: 'Done',
  failed: 'The check broke off',
  stopped: 'The check was stopped',
}

/** Checks that are on their way, by id. */
export const useChecks = defineStore('checks', () => {
  const running = ref<Record<string, CheckState>>({})

  /** Resolves when the check is through or was stopped, or its install removed; rejects with an ApiError where it broke off. */
  async function follow(checkId: string): Promise<void> {
    let installId = ''
    try {
      for (;;) {
        const check = await ask(routes.checks.read, { params: { id: checkId } })
        if (check.state === 'failed') throw brokenOff()
        if (check.state === 'done' || check.state === 'stopped') return
        installId = check.installId
        running.value[installId] = check.state
        await new Promise((resolve) => setTimeout(resolve, EVERY_MS))
      }
    } catch (e) {
      if (!(installId && e instanceof ApiError && e.code === 'not-found')) throw e
    } finally {
      delete running.value[installId]
    }
  }

  return { running, follow }
})
