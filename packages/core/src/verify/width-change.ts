import type { ReadLook } from './look'
import type { Plan } from './plan'

/** Px by which a width may differ and be the same: scroll bars, rounding. */
const SAME = 12

export interface WidthChange {
  was: number
  now: number
}

/** What a browser in a wide window saw of a placement whose width was measured before; null where that is as it was, or was not seen. */
export function widthChange({ placement, install }: Plan, looks: readonly ReadLook[]): WidthChange | null {
  const room = roomOf(install, looks)
  if (!placement?.measured || !placement.width || room === null) return null
  return Math.abs(room - placement.width) > SAME ? { was: placement.width, now: room } : null
}

/** Px that a wide window leaves an install; null where none was looked at. */
export function roomOf(install: string, looks: readonly ReadLook[]): number | null {
  const sight = looks.find(({ look }) => look.how === 'desktop')?.look.sight
  return sight?.widgets.find(({ id }) => id === install)?.room ?? null
}
