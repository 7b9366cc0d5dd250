import { solve } from '@pebblestrand/core/forms/proof'

/** Numbers tried between two looks at whether somebody still waits. */
const SLICE = 20_000

// As a worker it says that it is there, is told what to do, and says what solves it.
if (typeof document === 'undefined') {
  const scope = globalThis as unknown as {
    onmessage: ((event: MessageEvent<{ challenge: string; bits: number }>) => void) | null
    postMessage(message: unknown): void
  }
  scope.onmessage = ({ data: { challenge, bits } }) => {
    for (let from = 0; ; from += SLICE) {
      const nonce = solve(challenge, bits, from, SLICE)
      if (nonce !== null) return scope.postMessage({ nonce })
    }
  }
  scope.postMessage({ ready: true })
}

export { solve }
