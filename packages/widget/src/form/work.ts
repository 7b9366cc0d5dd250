import type * as proof from '../behaviours/proof'
import { pathTo } from '@pebblestrand/core/wire'

/** Numbers that are tried without a pause where no worker may be begun. */
const SLICE = 1500
/** Ms after which a worker that has said nothing is not waited for. */
const PATIENCE = 60_000

/**
 * Does the work that a form under attack asks for, beside the page where it may: in a worker, else in small pieces.
 * @returns what solves it
 */
export async function work(origin: string, challenge: string, bits: number): Promise<string> {
  const address = origin + pathTo('behaviour', 'proof')
  try {
    return await inWorker(address, challenge, bits)
  } catch {
    return inPieces(address, challenge, bits)
  }
}

function inWorker(address: string, challenge: string, bits: number): Promise<string> {
  return new Promise((resolve, reject) => {
    // A worker of another origin may not be begun; one of this page's that loads it may, where the page's policy allows.
    const url = URL.createObjectURL(new Blob([`import ${JSON.stringify(address)}`], { type: 'text/javascript' }))
    const worker = new Worker(url, { type: 'module' })
    const end = (settle: () => void) => {
      clearTimeout(timer)
      worker.terminate()
      URL.revokeObjectURL(url)
      settle()
    }
    const timer = setTimeout(() => end(() => reject(new Error('The worker says nothing.'))), PATIENCE)
    worker.onerror = () => end(() => reject(new Error('No worker here.')))
    worker.onmessage = ({ data }: MessageEvent<{ ready?: true; nonce?: string }>) => {
      if (data.nonce === undefined) worker.postMessage({ challenge, bits })
      else end(() => resolve(data.nonce!))
    }
  })
}

async function inPieces(address: string, challenge: string, bits: number): Promise<string> {
  const { solve } = (await import(/* @vite-ignore */ address)) as typeof proof
  for (let from = 0; ; from += SLICE) {
    const nonce = solve(challenge, bits, from, SLICE)
    if (nonce !== null) return nonce
    await new Promise((resolve) => setTimeout(resolve, 0))
  }
}
