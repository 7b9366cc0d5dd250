import { headlines } from './headlines'
import type { Kind } from './kind'

/** Every kind there is. Adding one: its folder here, its renderer in packages/widget/src/kinds, and a line in each list. */
export const kinds = { headlines } as const

export type KindId = keyof typeof kinds

/** A kind by its id, seen through the face all kinds share; undefined where there is none. */
export function kindOf(id: string): Kind | undefined {
  return (kinds as unknown as Record<string, Kind>)[id]
}
