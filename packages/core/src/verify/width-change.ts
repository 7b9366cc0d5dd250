import type { AnyNode } from 'domhandler'
import { isSameWidth } from '../layout'
import type { ReadLook } from './look'
import { onlyPart } from './ours'
import { ancestors } from './page'
import { regionsOf } from './place/regions'
import { matchesOf } from './match-selector'
import type { Plan } from './plan'
import { liesIn, seenBy } from './seen'

export interface WidthChange {
  was: number
  now: number
}

/** What a browser in a wide window saw of a placement whose width was measured before; null where that is as it was, or was not seen. */
export function widthChange(plan: Plan, looks: readonly ReadLook[]): WidthChange | null {
  const { placement } = plan
  const room = roomOf(plan, looks)
  if (!placement?.measured || !placement.width || room === null) return null
  return isSameWidth(room, placement.width) ? null : { was: placement.width, now: room }
}

/**
 * Px that a wide window leaves to widgets in an install's placement; null where none was looked at, or where it stands in
 * another. What was put around this one alone is no part of the placement.
 */
export function roomOf(plan: Plan, looks: readonly ReadLook[]): number | null {
  const read = looks.find(({ look }) => look.how === 'desktop')
  const widget = read?.look.sight?.widgets.find(({ id }) => id === plan.install)
  if (!read || !widget) return null
  const seen = seenBy(plan, read)
  const [copy] = seen.mine
  if (!copy) return widget.room ?? null
  if (liesIn(plan, seen, copy.node).inside === false) return null
  // In a frame of the editor's, what that frame stands in.
  if (copy.within) return widget.room ?? null
  const { labels } = regionsOf(seen.page)
  const marked = plan.placement?.selector ? matchesOf(seen.page, plan.placement.selector) : null
  let outwards = 0
  let within: AnyNode = copy.node
  for (const at of ancestors(copy.node)) {
    if (onlyPart(at) !== within || labels.has(at) || marked?.has(at)) break
    within = at
    outwards++
  }
  return outwards ? (widget.around?.[outwards]?.content ?? null) : (widget.room ?? null)
}
