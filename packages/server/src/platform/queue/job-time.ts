/** How long a job has left. What takes longer stops at a good moment, and goes on as a job of its own. */
export interface JobTime {
  isUp(): boolean
}

/** For what is called from elsewhere than the queue. */
export const ENDLESS: JobTime = { isUp: () => false }

/** Half of what a job may take: its last piece still has the other half. */
export function timeOf(seconds: number, now: () => number = () => performance.now()): JobTime {
  const until = now() + (seconds * 1000) / 2
  return { isUp: () => now() >= until }
}
