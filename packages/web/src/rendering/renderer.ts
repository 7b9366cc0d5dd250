import { wrap, type Remote } from 'comlink'
import type { BenchRenderer } from './bench-rendering'

let remote: Remote<BenchRenderer> | null = null

/** The bench's renderer, in a worker of its own: sieving and rendering thousands of items never holds up typing. */
export const benchRenderer = (): Remote<BenchRenderer> =>
  (remote ??= wrap<BenchRenderer>(
    new Worker(new URL('./render.worker.ts', import.meta.url), { type: 'module', name: 'rendering' }),
  ))
