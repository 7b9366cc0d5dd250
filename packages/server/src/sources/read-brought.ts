import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { TooTangled, type TaskName, type Threads } from '../platform/threads/threads'

type Run<N extends TaskName> = typeof Threads.prototype.run<N>

/** Reads a file that a person brings, in a thread; one that cannot be read to its end is the person's to mend, and says so. */
export const readBrought = <N extends TaskName>(
  { threads }: Pick<Context, 'threads'>,
  ...asked: Parameters<Run<N>>
): ReturnType<Run<N>> =>
  threads.run<N>(...asked).catch((error: unknown) => {
    if (error instanceof TooTangled) throw new AppError('tangled')
    throw error
  }) as ReturnType<Run<N>>
