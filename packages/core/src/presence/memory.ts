/** The one name under which a browser remembers; written down in docs/ for privacy texts. */
export const REMEMBERED_AS = 'pebblestrand'

/** What is remembered of one widget over the page: days since 1970 and counts, nothing of who it is. */
export interface Remembered {
  /** Days since 1970 (UTC) when it was closed last. */
  closed?: number
  answered?: boolean
  /** How often it was shown, in all and in this visit. */
  shown?: number
  lately?: number
}

export interface Memory {
  /** Visits so far, this one counted. */
  visits: number
  /** Minutes since 1970 at the last sign of life. */
  seen: number
  /** Seconds since 1970 when something was closed last in this visit; null where nothing was. */
  closed: number | null
  of: Record<string, Remembered>
}

export const FORGETFUL: Memory = { visits: 1, seen: 0, closed: null, of: {} }

const isCount = (value: unknown): value is number => Number.isInteger(value) && (value as number) >= 0
const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** What a browser has kept; null where it has kept nothing, or something that is not ours. By hand: a visitor downloads this. */
export function readMemory(text: string | null): Memory | null {
  try {
    const kept: unknown = JSON.parse(text ?? '')
    if (!isObject(kept) || !isCount(kept.visits) || !isCount(kept.seen) || !isObject(kept.of)) return null
    const closed = isCount(kept.closed) ? kept.closed : null
    const of = Object.fromEntries(
      Object.entries(kept.of).filter((one): one is [string, Remembered] => isObject(one[1])),
    )
    return { visits: kept.visits, seen: kept.seen, closed, of }
  } catch {
    return null
  }
}

export const writeMemory = (memory: Memory): string => JSON.stringify(memory)

const MINUTE_MS = 60_000
const DAY_MS = 86_400_000
export const dayOf = (moment: Date): number => Math.floor(moment.getTime() / DAY_MS)
const minuteOf = (moment: Date): number => Math.floor(moment.getTime() / MINUTE_MS)
export const secondOf = (moment: Date): number => Math.floor(moment.getTime() / 1000)

/** Minutes without a sign of life after which it is another visit; common practice in the trade. */
const VISIT_ENDS = 30

/** A sign of life: what is remembered now, in the same visit or in a new one. */
export function rememberSeen(before: Memory | null, now: Date): Memory {
  const seen = minuteOf(now)
  if (!before) return { ...FORGETFUL, seen }
  if (seen - before.seen < VISIT_ENDS) return { ...before, seen: Math.max(seen, before.seen) }
  const of = Object.fromEntries(Object.entries(before.of).map(([id, { lately: _, ...kept }]) => [id, kept]))
  return { visits: before.visits + 1, seen, closed: null, of }
}

const changed = (memory: Memory, id: string, change: (before: Remembered) => Remembered): Memory => ({
  ...memory,
  of: { ...memory.of, [id]: change(memory.of[id] ?? {}) },
})

export const rememberShown = (memory: Memory, id: string): Memory =>
  changed(memory, id, (before) => ({
    ...before,
    shown: (before.shown ?? 0) + 1,
    lately: (before.lately ?? 0) + 1,
  }))
export const rememberClosed = (memory: Memory, id: string, now: Date): Memory => ({
  ...changed(memory, id, (before) => ({ ...before, closed: dayOf(now) })),
  closed: secondOf(now),
})
/** It has done what it is for, and need not be shown again. */
export const rememberAnswered = (memory: Memory, id: string, now: Date): Memory => ({
  ...changed(memory, id, (before) => ({ ...before, answered: true })),
  closed: secondOf(now),
})
