import { z } from 'zod'

/** The one name under which a browser remembers; written down in docs/ for privacy texts. */
export const REMEMBERED_AS = 'pebblestrand'

/** What is remembered of one widget over the page: days since 1970 and counts, nothing of who it is. */
const Remembered = z.object({
  /** Days since 1970 (UTC) when it was closed last. */
  closed: z.number().int().nonnegative().optional(),
  answered: z.boolean().optional(),
  shown: z.number().int().nonnegative().optional(),
})
export type Remembered = z.infer<typeof Remembered>

export const Memory = z.object({
  /** Visits so far, and the day of the last. */
  visits: z.number().int().nonnegative().default(0),
  of: z.record(z.string(), Remembered).default({}),
})
export type Memory = z.infer<typeof Memory>

export const FORGETFUL: Memory = { visits: 0, of: {} }

/** What a browser has kept; nothing where it has kept nothing, or something that is not ours. */
export function readMemory(text: string | null): Memory {
  if (!text) return FORGETFUL
  try {
    return Memory.parse(JSON.parse(text))
  } catch {
    return FORGETFUL
  }
}

export const writeMemory = (memory: Memory): string => JSON.stringify(memory)

const DAY_MS = 86_400_000
export const dayOf = (moment: Date): number => Math.floor(moment.getTime() / DAY_MS)

const changed = (memory: Memory, id: string, change: (before: Remembered) => Remembered): Memory => ({
  ...memory,
  of: { ...memory.of, [id]: change(memory.of[id] ?? {}) },
})

export const rememberShown = (memory: Memory, id: string): Memory =>
  changed(memory, id, (before) => ({ ...before, shown: (before.shown ?? 0) + 1 }))
export const rememberClosed = (memory: Memory, id: string, now: Date): Memory =>
  changed(memory, id, (before) => ({ ...before, closed: dayOf(now) }))
export const rememberAnswered = (memory: Memory, id: string): Memory =>
  changed(memory, id, (before) => ({ ...before, answered: true }))
