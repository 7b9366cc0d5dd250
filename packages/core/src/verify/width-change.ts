import { isSameWidth } from '../layout'
import type { ReadLook } from './look'
import type { Plan } from './plan'

export interface WidthChange {
  was: number
  now: number
}

/** What a browser in a wide window saw of a placement whose width was measured before; null where that is as it was, or was not seen. */
export function widthChange({ placement, install }: Plan, looks: readonly ReadLook[]): WidthChange | null {
  const room = roomOf(install, looks)
  if (!placement?.measured || !placement.width || room === null) return null
  return isSameWidth(room, placement.width) ? null : { was: placement.width, now: room }
}

/** Px that a wide window leaves an install; null where none was looked at. */
export function roomOf(install: string, looks: readonly ReadLook[]): number | null {
  const sight = looks.find(({ look }) => look.how === 'desktop')?.look.sight
  return sight?.widgets.find(({ id }) => id === install)?.room ?? null
}
